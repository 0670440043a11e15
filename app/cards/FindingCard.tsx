import { BUILD_FIGURES, type BuildFigureName } from '@pedastance/core/body';
import { questionName, type Speech } from '@pedastance/core/phrases';
import type { ChoiceFinding, Finding } from '@pedastance/core/reading';
import { FIGURE_WORDS } from '@pedastance/core/setup';
import { rounded } from '@pedastance/core/units';
import { useState, type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Button } from '../ui/Button';
import { VerdictMark } from '../ui/VerdictMark';
import { Body, FigureWords, Quiet } from '../ui/Words';
import { figure, findingBand, findingFigure, figureName, spoken } from '../domain/sentences';
import { common } from '../domain/common.messages';
import { messages } from './FindingCard.messages';

const BUILD_WORDS: Record<BuildFigureName, string> = {
  height: 'height',
  shoulderBreadth: 'shoulder breadth',
  hipBreadth: 'hip breadth',
  shoeLength: 'shoe length',
  shoeBreadth: 'shoe breadth',
};

function widenedWords(widenedBy: readonly BuildFigureName[]): string {
  const names = BUILD_FIGURES.filter((name) => widenedBy.includes(name)).map((name) => BUILD_WORDS[name]);
  return messages.widerThanTheMethodsOwn(names.join(' and the '), names.length);
}

/** Why a finding weighs what it does, in steps a coach can just notice. */
export function weightWords({ weight }: Pick<Finding, 'weight'>): string {
  const part = (value: number, words: string) => (value >= 0.05 ? `${words} ${rounded(value, 1)}` : '');
  const parts = [part(weight.out, 'out'), part(weight.turn, 'turn'), part(weight.path, 'path')].filter(
    Boolean,
  );
  return messages.weighsInStepsThatCan(rounded(weight.total, 1), parts.join(' + '));
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
    ? messages.because(
        spoken(cause.words, speech),
        spoken(FIGURE_WORDS[cause.item].name.toLowerCase(), speech),
      )
    : '';

/** What a finding weighs, and where its band comes from: behind a tap of its own. */
function WhyFirst({ finding, speech }: Pick<FindingCardProps, 'finding' | 'speech'>) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <View className="flex-row">
        <Button look="quiet" words={open ? common.less : messages.whyFirst} onPress={() => setOpen(!open)} />
      </View>
      {open && (
        <>
          {finding.weight.total > 0 && <Quiet>{weightWords(finding)}</Quiet>}
          <Quiet>
            {messages.bandMiddle(
              findingBand(finding, speech),
              findingFigure(finding, finding.middle, speech),
              finding.mark,
            )}
          </Quiet>
        </>
      )}
    </>
  );
}

/** One finding: measured against its band, and behind one tap why, what it limits, what to do. */
export function FindingCard({ finding, speech, effects = [], openAtFirst = false }: FindingCardProps) {
  const { verdict, withheld } = finding;
  const head = (
    <>
      <View className="flex-1">
        <Body className="font-semibold">{figureName(finding.item, speech)}</Body>
        <View className="flex-row flex-wrap items-center gap-x-2">
          <VerdictMark question={finding.question} verdict={verdict} />
          <Quiet>{findingBand(finding, speech)}</Quiet>
          {finding.close && <Quiet>{messages.closeCall}</Quiet>}
          {finding.because && (
            <Quiet>
              {messages.from(spoken(FIGURE_WORDS[finding.because.item].name.toLowerCase(), speech))}
            </Quiet>
          )}
          {withheld !== null && <Quiet>{messages.leftAlone}</Quiet>}
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
          {messages.withItComesBecause(
            spoken(FIGURE_WORDS[effect.item].name.toLowerCase(), speech),
            findingFigure(effect, effect.measured, speech),
            spoken(effect.because?.words ?? '', speech),
          )}
        </Body>
      ))}
      {withheld !== null && <Body className="font-semibold">{`! ${spoken(withheld, speech)}`}</Body>}
      {finding.close && <Quiet>{messages.theEdgeOfTheBand}</Quiet>}
      {finding.widenedBy.length > 0 && <Body>{widenedWords(finding.widenedBy)}</Body>}
      {finding.untested && <Body>{messages.theLegsDecideThisBand}</Body>}
      <WhyFirst finding={finding} speech={speech} />
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
          {choice.asTaught ? messages.asTaught : messages.otherwise}
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
