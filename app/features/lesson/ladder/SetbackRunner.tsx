import type { ClubId } from '@pedastance/core/club';
import {
  nextSetback,
  SETBACK_FEET,
  SETBACK_SCORES,
  setbackFound,
  type ChosenRung,
  type SetbackRung,
  type SetbackScore,
} from '@pedastance/core/ladder';
import { chanceWords } from '@pedastance/core/phrases';
import { setbackAtMark, withFigure, type Setup } from '@pedastance/core/setup';
import { saidLength } from '@pedastance/core/units';
import { useMemo } from 'react';
import { View } from 'react-native';
import type { OwnBand } from '../../../domain/ladders';
import { rungName } from '../../../domain/fieldTestWords';
import { measuredOf } from '../../../domain/measured';
import { spoken } from '../../../domain/sentences';
import { noteTry } from '../../../state/ladder';
import { useSpeech } from '../../../state/useSpeech';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Body, LargeFigure, Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { messages } from './FieldTests.messages';
import { TestFrame, useTries } from './TestFrame';
import { useFeet, useSetupOnPlan } from './useRung';

const words = messages.setback;

const LOOKS: Partial<Record<SetbackScore, 'act' | 'quiet'>> = { held: 'act', pain: 'quiet' };
/** Bands about what was found: as near as feet are placed again (starting values). */
const LINE_BAND = 3;
const WIDTH_BAND = 20;

const isChosen = (rung: SetbackRung): rung is ChosenRung => rung in SETBACK_FEET;

/** The feet of a rung: the gap between the shoes, and the trail toe along the lead shoe. */
function feetOn(rung: ChosenRung, feet: Setup): Setup {
  const { gap, mark } = SETBACK_FEET[rung];
  const { measures } = measuredOf(feet);
  const wide = withFigure(feet, 'stanceWidth', measures.stanceWidth + gap - measures.gap);
  return withFigure(wide, 'setback', setbackAtMark(wide.address, mark));
}

/** The rung to swing on, and one tap for how the swing went. */
function Rung({ rung, feet }: { rung: SetbackRung; feet: Setup }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const on = useMemo(() => (isChosen(rung) ? feetOn(rung, feet) : null), [rung, feet]);
  useSetupOnPlan(on);
  return (
    <View className="gap-3">
      <LargeFigure testID="setback-rung">{rungName(rung, speech)}</LargeFigure>
      <Body className="text-lg font-semibold">{spoken(messages.stands[rung], speech)}</Body>
      {isChosen(rung) && <Body>{messages.gap(saidLength(SETBACK_FEET[rung].gap, speech.length))}</Body>}
      <View className="flex-row flex-wrap gap-2">
        {SETBACK_SCORES.map((score) => (
          <Button
            key={score}
            look={LOOKS[score] ?? 'plain'}
            words={messages.scores[score]}
            onPress={() => noteTry('setback', { rung, score })}
          />
        ))}
      </View>
    </View>
  );
}

/** For a body that stays over its lead foot: where the trail foot belongs. */
export function SetbackRunner({ club }: { club: ClubId }) {
  const feet = useFeet();
  const tries = useTries('setback');
  const next = nextSetback(tries);
  const told = setbackFound(tries);
  const bands = useMemo((): OwnBand[] => {
    if (!told) return [];
    const { toeLine, stanceWidth } = measuredOf(feetOn(told.rung, feet)).measures;
    const about = (middle: number, half: number) => ({
      low: Math.round(middle - half),
      high: Math.round(middle + half),
    });
    return [
      { item: 'stanceLine', ...about(toeLine, LINE_BAND), club },
      { item: 'stanceWidth', ...about(stanceWidth, WIDTH_BAND), club },
    ];
  }, [told, feet, club]);
  const rearwardHeld = tries.some(({ rung, score }) => rung === 'rearward' && score === 'held');
  return (
    <TestFrame
      test="setback"
      purpose={words.purpose}
      how={words.how}
      more={told && <Quiet>{words.sure(chanceWords(told.chance))}</Quiet>}
      contents={{ test: 'setback', club, tries: [...tries] }}
      bands={bands}
    >
      <Quiet>{words.counts}</Quiet>
      {rearwardHeld && <Notice kind="plain">{words.rearwardHeld}</Notice>}
      {next.kind === 'swing' ? (
        <Rung rung={next.rung} feet={feet} />
      ) : (
        <Notice kind={next.why === 'found' ? 'good' : 'caution'} live>
          {messages.stops[next.why]}
        </Notice>
      )}
    </TestFrame>
  );
}
