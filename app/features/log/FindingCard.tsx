import { BUILD_FIGURES, type BuildFigureName, type Finding, type Speech } from '@pedastance/core';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { VerdictMark } from '../../ui/VerdictMark';
import { Body, FigureWords, Quiet } from '../../ui/Words';
import { bandWords, figure, itemFigure, itemName, spoken } from './sentences';

const BUILD_WORDS: Record<BuildFigureName, string> = {
  height: 'height',
  shoulderBreadth: 'shoulder breadth',
  hipBreadth: 'hip breadth',
  shoeLength: 'shoe length',
  shoeBreadth: 'shoe breadth',
};

function widenedWords(widenedBy: readonly BuildFigureName[]): string {
  const names = BUILD_FIGURES.filter((name) => widenedBy.includes(name)).map((name) => BUILD_WORDS[name]);
  return `Wider than the method’s own band, because the ${names.join(' and the ')} ${names.length > 1 ? 'are' : 'is'} only estimated. A tape narrows it.`;
}

interface FindingCardProps {
  finding: Finding;
  speech: Speech;
  /** What to do about it, where it is out of its band. */
  advice?: string[];
  openAtFirst?: boolean;
}

/** One finding: measured against its band, and behind one tap why, what it limits, what to do. */
export function FindingCard({ finding, speech, advice = [], openAtFirst = false }: FindingCardProps) {
  const [open, setOpen] = useState(openAtFirst);
  const name = itemName(finding.item, speech);
  return (
    <View className="border-b border-grid" testID={`finding-${finding.item}`}>
      <Pressable
        role="button"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        className="min-h-[56px] flex-row items-center justify-between gap-2 py-2"
      >
        <View className="flex-1">
          <Body className="font-semibold">{name}</Body>
          <View className="flex-row flex-wrap items-center gap-x-2">
            <VerdictMark verdict={finding.verdict} />
            <Quiet>{bandWords(finding, speech)}</Quiet>
            {finding.close && <Quiet>· close call</Quiet>}
          </View>
        </View>
        <View className="items-end">
          <FigureWords>{itemFigure(finding.item, finding.measured, finding.unit, speech)}</FigureWords>
          <Quiet className="figures">{`± ${figure(finding.uncertainty, finding.unit, speech)}`}</Quiet>
        </View>
        <Quiet aria-hidden className="w-4 text-center text-base">
          {open ? '–' : '+'}
        </Quiet>
      </Pressable>
      {open && (
        <View className="gap-2 pb-3">
          <Body>{spoken(finding.why, speech)}</Body>
          {finding.limits !== '' && <Body>{spoken(finding.limits, speech)}</Body>}
          {advice.map((each) => (
            <Body key={each} className="font-semibold">
              {each}
            </Body>
          ))}
          {finding.close && (
            <Quiet>
              The edge of the band is within what the measuring can be off (one standard deviation): it could
              be either.
            </Quiet>
          )}
          {finding.widenedBy.length > 0 && <Body>{widenedWords(finding.widenedBy)}</Body>}
          <Quiet>{`Band ${bandWords(finding, speech)}, middle ${itemFigure(finding.item, finding.middle, finding.unit, speech)}: ${finding.mark}.`}</Quiet>
        </View>
      )}
    </View>
  );
}
