import { BUILD_FIGURES, type BuildFigureName } from '@pedastance/core/body';
import { questionName, type Speech } from '@pedastance/core/phrases';
import type { ChoiceFinding, Finding } from '@pedastance/core/reading';
import { FIGURE_WORDS } from '@pedastance/core/setup';
import { useState, type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { VerdictMark } from '../ui/VerdictMark';
import { Body, FigureWords, Quiet } from '../ui/Words';
import { figure, findingBand, findingFigure, figureName, spoken } from '../domain/sentences';

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

/** Why a finding weighs what it does, in steps a coach can just notice. */
export function weightWords({ weight }: Pick<Finding, 'weight'>): string {
  const part = (value: number, words: string) => (value >= 0.05 ? `${words} ${value.toFixed(1)}` : '');
  const parts = [part(weight.out, 'out'), part(weight.turn, 'turn'), part(weight.path, 'path')].filter(
    Boolean,
  );
  return `Weighs ${weight.total.toFixed(1)}: ${parts.join(' + ')}, in steps that can just be noticed; what is nearer the ground counts more (starting values).`;
}

interface CardProps {
  testID: string;
  head: ReactNode;
  openAtFirst?: boolean;
  children: ReactNode;
}

/** A head that opens what is behind it with one tap. */
function Folding({ testID, head, openAtFirst = false, children }: CardProps) {
  const [open, setOpen] = useState(openAtFirst);
  return (
    <View className="border-b border-grid" testID={testID}>
      <Pressable
        role="button"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
        className="min-h-[56px] flex-row items-center justify-between gap-2 py-2"
      >
        {head}
        <Quiet aria-hidden className="w-4 text-center text-base">
          {open ? '–' : '+'}
        </Quiet>
      </Pressable>
      {open && <View className="gap-2 pb-3">{children}</View>}
    </View>
  );
}

interface FindingCardProps {
  finding: Finding;
  speech: Speech;
  /** Findings that come from this one, told with it. */
  effects?: readonly Finding[];
  openAtFirst?: boolean;
}

const because = ({ because: cause }: Finding, speech: Speech): string =>
  cause
    ? `Because ${spoken(cause.words, speech)} (${spoken(FIGURE_WORDS[cause.item].name.toLowerCase(), speech)}).`
    : '';

/** One finding: measured against its band, and behind one tap why, what it limits, what to do. */
export function FindingCard({ finding, speech, effects = [], openAtFirst = false }: FindingCardProps) {
  const { verdict, weight, withheld } = finding;
  const head = (
    <>
      <View className="flex-1">
        <Body className="font-semibold">{figureName(finding.item, speech)}</Body>
        <View className="flex-row flex-wrap items-center gap-x-2">
          <VerdictMark question={finding.question} verdict={verdict} />
          <Quiet>{findingBand(finding, speech)}</Quiet>
          {finding.close && <Quiet>· close call</Quiet>}
          {finding.because && (
            <Quiet>{`· from ${spoken(FIGURE_WORDS[finding.because.item].name.toLowerCase(), speech)}`}</Quiet>
          )}
          {withheld !== null && <Quiet>· left alone</Quiet>}
        </View>
      </View>
      <View className="items-end">
        <FigureWords>{findingFigure(finding, finding.measured, speech)}</FigureWords>
        <Quiet className="figures">{`± ${figure(finding.uncertainty, finding.unit, speech)}`}</Quiet>
      </View>
    </>
  );
  return (
    <Folding testID={`finding-${finding.item}`} head={head} openAtFirst={openAtFirst}>
      <Body>{spoken(finding.why, speech)}</Body>
      {finding.limits !== '' && <Body>{spoken(finding.limits, speech)}</Body>}
      {finding.because && <Body>{because(finding, speech)}</Body>}
      {effects.map((effect) => (
        <Body key={effect.item}>
          {`With it comes: ${spoken(FIGURE_WORDS[effect.item].name.toLowerCase(), speech)} ${findingFigure(effect, effect.measured, speech)}, because ${spoken(effect.because?.words ?? '', speech)}.`}
        </Body>
      ))}
      {withheld !== null && <Body className="font-semibold">{`! ${spoken(withheld, speech)}`}</Body>}
      {finding.close && (
        <Quiet>
          The edge of the band is within what the measuring can be off (one standard deviation): it could be
          either.
        </Quiet>
      )}
      {finding.widenedBy.length > 0 && <Body>{widenedWords(finding.widenedBy)}</Body>}
      {finding.untested && (
        <Body>The legs decide this band and have not been tested: a usual figure stands in.</Body>
      )}
      {weight.total > 0 && <Quiet>{weightWords(finding)}</Quiet>}
      <Quiet>{`Band ${findingBand(finding, speech)}, middle ${findingFigure(finding, finding.middle, speech)}: ${finding.mark}.`}</Quiet>
    </Folding>
  );
}

/** A question answered by a word, with what the method teaches and why. */
export function ChoiceCard({ choice, speech }: { choice: ChoiceFinding; speech: Speech }) {
  const head = (
    <View className="flex-1">
      <Body className="font-semibold">{questionName(choice.question)}</Body>
      <View className="flex-row flex-wrap items-center gap-x-2">
        <Body tone={choice.asTaught ? 'moss' : 'rust'} className="text-sm font-semibold">
          {choice.asTaught ? '● as taught' : '▲ otherwise'}
        </Body>
        <Quiet>{choice.wanted.join(' or ')}</Quiet>
      </View>
    </View>
  );
  return (
    <Folding
      testID={`choice-${choice.question}`}
      head={
        <>
          {head}
          <Body className="font-semibold">{choice.seen}</Body>
        </>
      }
    >
      <Body>{spoken(choice.why, speech)}</Body>
      <Quiet>{`${choice.mark}.`}</Quiet>
    </Folding>
  );
}
