import type { ToldJudgement } from '@pedastance/core/advice';
import {
  buysSentences,
  doSentences,
  doubtSentences,
  pairSentence,
  partingSentences,
  pulledSentence,
  stopsSentence,
  waitsSentence,
  type Speech,
} from '@pedastance/core/phrases';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Notice } from '../ui/Notice';
import { Body, Quiet } from '../ui/Words';
import { messages } from './JudgementCard.messages';

/** A line of a field book: what it says in the margin, and the sentences beside it. */
function Line({ margin, children }: { margin: string; children: ReactNode }) {
  return (
    <View className="flex-row">
      <View className="w-20 border-r-2 border-rust py-2 pl-3">
        <Quiet>{margin}</Quiet>
      </View>
      <View className="flex-1 gap-1 py-2 pl-3 pr-2">{children}</View>
    </View>
  );
}

interface ToldProps {
  judgement: ToldJudgement;
  speech: Speech;
}

interface JudgementCardProps extends ToldProps {
  /** mm */
  shoeLength: number;
}

/** What stops the student, in its line. */
export function StopsYou({ judgement, speech }: ToldProps) {
  return (
    <Line margin={messages.stopsYou}>
      <Body className="text-lg">{stopsSentence(judgement, speech)}</Body>
    </Line>
  );
}

/** What the things to do buy, in its line; nothing where nothing can be told. */
export function ItBuys({ judgement, speech }: ToldProps) {
  const buys = buysSentences(judgement, speech);
  if (buys.length === 0) return null;
  return (
    <Line margin={messages.itBuys}>
      {buys.map((sentence) => (
        <Body key={sentence} className="figures">
          {sentence}
        </Body>
      ))}
    </Line>
  );
}

/** The one judgement, in three sentences a coach would say aloud: what stops you, what we do, what it buys. */
export function JudgementCard({ judgement, shoeLength, speech }: JudgementCardProps) {
  const waits = waitsSentence(judgement, speech);
  const pulled = pulledSentence(judgement, speech);
  const pair = pairSentence(judgement);
  const partings = partingSentences(judgement, speech);
  const doubts = doubtSentences(judgement);
  return (
    <View className="gap-2" testID="judgement" aria-live="polite">
      <View className="bg-sheet">
        <StopsYou judgement={judgement} speech={speech} />
        <Line margin={messages.weDo}>
          {doSentences(judgement, shoeLength, speech).map((sentence) => (
            <Body key={sentence} className="text-lg font-semibold">
              {sentence}
            </Body>
          ))}
        </Line>
        <ItBuys judgement={judgement} speech={speech} />
      </View>
      {pulled !== '' && <Notice kind="caution">{pulled}</Notice>}
      {pair !== '' && <Notice kind="plain">{pair}</Notice>}
      {partings.map((sentence) => (
        <Notice key={sentence} kind="caution">
          {sentence}
        </Notice>
      ))}
      {doubts.map((sentence) => (
        <Quiet key={sentence}>{sentence}</Quiet>
      ))}
      {waits !== '' && <Quiet>{waits}</Quiet>}
    </View>
  );
}
