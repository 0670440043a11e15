import type { ToldJudgement } from '@pedastance/core/advice';
import {
  buysSentences,
  doSentences,
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

interface JudgementCardProps {
  judgement: ToldJudgement;
  /** mm */
  shoeLength: number;
  speech: Speech;
}

/** The one judgement, in three sentences a coach would say aloud: what stops you, what we do, what it buys. */
export function JudgementCard({ judgement, shoeLength, speech }: JudgementCardProps) {
  const buys = buysSentences(judgement, speech);
  const waits = waitsSentence(judgement, speech);
  const pulled = pulledSentence(judgement, speech);
  const partings = partingSentences(judgement, speech);
  return (
    <View className="gap-2" testID="judgement" aria-live="polite">
      <View className="bg-sheet">
        <Line margin="Stops you">
          <Body className="text-lg">{stopsSentence(judgement, speech)}</Body>
        </Line>
        <Line margin="We do">
          {doSentences(judgement, shoeLength, speech).map((sentence) => (
            <Body key={sentence} className="text-lg font-semibold">
              {sentence}
            </Body>
          ))}
        </Line>
        {buys.length > 0 && (
          <Line margin="It buys">
            {buys.map((sentence) => (
              <Body key={sentence} className="figures">
                {sentence}
              </Body>
            ))}
          </Line>
        )}
      </View>
      {pulled !== '' && <Notice kind="caution">{pulled}</Notice>}
      {partings.map((sentence) => (
        <Notice key={sentence} kind="caution">
          {sentence}
        </Notice>
      ))}
      {waits !== '' && <Quiet>{waits}</Quiet>}
    </View>
  );
}
