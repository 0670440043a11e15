import {
  driftAndPath,
  LEAST_PAIRS,
  LEAST_SWINGS,
  patternsIn,
  PRESSURE_REMEDIES,
  meanRoute,
  routeOfTrace,
  type PatternTold,
  type SwingRoute,
} from '@pedastance/core/balance';
import { isMinor } from '@pedastance/core/body';
import { DRILL_LIBRARY, mayDrill } from '@pedastance/core/card';
import type { ClubId, ShotType } from '@pedastance/core/club';
import { leavesSentence, patternSentence } from '@pedastance/core/phrases';
import type { PressurePattern, PressureRoute } from '@pedastance/core/setup';
import { angleFigure } from '@pedastance/core/units';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { common } from '../../../domain/common.messages';
import { isUnsteady } from '../../../domain/ladders';
import { ownMiddle, type PressureDraft } from '../../../domain/pressure';
import { spoken } from '../../../domain/sentences';
import { dayOf } from '../../../domain/students';
import { pairsIn, pairsKept } from '../../../domain/pressureShots';
import { lesson } from '../../../state/lesson';
import { useMadeUp } from '../../../state/account';
import { keepPressure, noteTrunk } from '../../../state/pressure';
import { useRecords } from '../../../state/records';
import { useSpeech } from '../../../state/useSpeech';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { Notice } from '../../../ui/Notice';
import { Body, Heading, Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { useExceptions } from '../Exceptions';
import { messages } from './PressureStep.messages';

const percent = (value: number): string => `${Math.round(value)}%`;

const TOLD_AT = ['address', 'top', 'impact', 'finish'] as const;

/** Where the load was at each moment, over all swings. */
function Places({ routes }: { routes: readonly SwingRoute[] }) {
  const middle = meanRoute(routes);
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  return (
    <View>
      {TOLD_AT.map((mark) => (
        <View key={mark} className="flex-row justify-between border-b border-grid py-1">
          <Quiet>{messages.marks[mark]}</Quiet>
          <Body className="figures">
            {spoken(messages.table(percent(middle[mark].leadShare), percent(middle[mark].along)), speech)}
          </Body>
        </View>
      ))}
    </View>
  );
}

/** What to do about a pattern: one cue, one rehearsal, one drill, and what is looked at the next time. */
function Remedy({ told }: { told: PatternTold }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const { pattern } = told;
  const { does, cue, rehearse, drill, check } = PRESSURE_REMEDIES[pattern];
  const minor = isMinor(student, dayOf(new Date()));
  const named = DRILL_LIBRARY.find(({ id }) => id === drill)!;
  const may = mayDrill(named, { facts: student.facts, minor });
  const say = (words: string) => spoken(words, speech);
  return (
    <View className="gap-1 border-l-4 border-lagoon pl-3" testID="pressure-pattern">
      <Body className="text-lg font-semibold">{say(patternSentence(pattern))}</Body>
      <Quiet>{say(leavesSentence(told))}</Quiet>
      <Body>{say(does)}</Body>
      <Body className="font-semibold">{say(messages.think(cue))}</Body>
      <Body>{say(messages.rehearse(rehearse))}</Body>
      {may && <Body>{say(messages.drill(named.name, named.dose))}</Body>}
      {may && named.needs !== '' && <Quiet>{messages.needs(named.needs)}</Quiet>}
      <Quiet>{say(messages.check(check))}</Quiet>
      {!may && <Notice kind="caution">{messages.noDrill(named.name)}</Notice>}
      {isUnsteady(student) && <Notice kind="caution">{messages.notFor}</Notice>}
    </View>
  );
}

/** Degrees of path for ten percent of drift. */
const degrees = (slope: number): string => angleFigure(10 * slope, 1);

type Played = { club: ClubId; shot: ShotType };

/** How this student's drift and path go together, once enough swings have a path. */
function DriftTold({ swings, source, club, shot }: Pick<PressureDraft, 'swings' | 'source'> & Played) {
  const { student } = useLessonContext();
  const entries = useRecords((state) => state.entries);
  const kept = useMemo(
    () => pairsKept(Object.values(entries), { studentId: student.id, club, shot, source }),
    [entries, student.id, club, shot, source],
  );
  const pairs = [...kept, ...pairsIn(swings)];
  if (pairs.length === 0) return null;
  const told = driftAndPath(pairs);
  if (!told) return <Quiet>{messages.driftMore(LEAST_PAIRS)}</Quiet>;
  const ends = [told.low, told.high]
    .map((end) => (told.sure ? Math.abs(end) : end))
    .sort((one, other) => one - other);
  const [low, high] = ends.map(degrees) as [string, string];
  const way = told.slope > 0 ? 'in-to-out' : 'out-to-in';
  return (
    <View testID="drift-and-path">
      {told.sure && <Body>{messages.drift(degrees(Math.abs(told.slope)), way)}</Body>}
      <Quiet>
        {told.sure ? messages.driftSure(told.swings, low, high) : messages.driftNot(told.swings, low, high)}
      </Quiet>
    </View>
  );
}

/** How several swings go, what they show beyond their scatter, and what to do about the first of it. */
export function PressureTold({
  pressure,
  club,
  shot,
  route,
  onKept,
}: Played & {
  pressure: PressureDraft;
  route: PressureRoute;
  onKept: () => void;
}) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const draft = useStore(lesson, (state) => state.draft);
  const [fault, setFault] = useState('');
  const { swings, hangsBack, source } = pressure;
  // What a stand-in simulates is no real student’s.
  const mayKeep = useMadeUp() || source !== 'simulated mat';
  const routes = useMemo(() => swings.map(routeOfTrace), [swings]);
  const middle = ownMiddle(useExceptions());
  const told = useMemo(
    () => patternsIn(routes, route, { hangsBack, middle }),
    [routes, route, hangsBack, middle],
  );
  const [first, ...others] = told;
  // A reverse is one only where the trunk hangs back: nothing else asks for it.
  const asksTrunk = hangsBack !== null || told.some(({ pattern }) => pattern === 'reverse');
  const keep = (pattern: PressurePattern | null) => {
    const cue = pattern ? spoken(PRESSURE_REMEDIES[pattern].cue, speech) : '';
    const kept = { club, shot, route, source, hangsBack, swings: [...swings], pattern, cue };
    keepPressure(kept, draft!, student).then(onKept, (error: Error) =>
      setFault(common.notKept(error.message)),
    );
  };
  return (
    <View className="gap-3" testID="pressure-told">
      {source === 'simulated mat' && <Quiet>{messages.simulatedSwings}</Quiet>}
      <Places routes={routes} />
      <Quiet>{messages.route(route)}</Quiet>
      {swings.length < LEAST_SWINGS && <Quiet>{messages.more}</Quiet>}
      {swings.length >= LEAST_SWINGS && !first && <Notice kind="good">{messages.clean}</Notice>}
      {first && <Remedy told={first} />}
      {others.length > 0 && (
        <View className="gap-1">
          <Heading>{messages.other}</Heading>
          {others.map(({ pattern }) => (
            <Body key={pattern}>{spoken(patternSentence(pattern), speech)}</Body>
          ))}
        </View>
      )}
      <DriftTold swings={swings} source={source} club={club} shot={shot} />
      {asksTrunk && (
        <Choice
          label={messages.trunk}
          options={[
            { value: 'yes', words: messages.yes },
            { value: 'no', words: messages.no },
            { value: 'not', words: messages.notLooked },
          ]}
          value={hangsBack === null ? 'not' : hangsBack ? 'yes' : 'no'}
          onChange={(value) => noteTrunk(value === 'not' ? null : value === 'yes')}
        />
      )}
      {mayKeep ? (
        <View className="flex-row flex-wrap gap-2">
          {first && <Button words={messages.keepCue} onPress={() => keep(first.pattern)} />}
          <Button look={first ? 'quiet' : 'plain'} words={messages.keep} onPress={() => keep(null)} />
        </View>
      ) : (
        <Notice kind="caution">{messages.lookedAtOnly}</Notice>
      )}
      {fault !== '' && <Notice kind="trouble">{fault}</Notice>}
    </View>
  );
}
