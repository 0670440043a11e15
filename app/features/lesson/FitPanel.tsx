import {
  MOVES,
  type FitAnswer,
  type FitProblem,
  type MoveName,
  type Relaxation,
  type Requirement,
} from '@pedastance/core/fit';
import type { Setup } from '@pedastance/core/ground';
import { bandsFor } from '@pedastance/core/method';
import {
  capitalised,
  CHANGE_NAMES,
  inFootWords,
  figureWithUnit,
  type Speech,
} from '@pedastance/core/phrases';
import { naturalToeOut, legTestOf } from '@pedastance/core/screen';
import { USUAL_GOAL } from '@pedastance/core/turn';
import { gainWords, liftWords } from '@pedastance/core/turnPhrases';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { changeDraft, lesson, replaceAgreed } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { PickSeveral } from '../../ui/PickSeveral';
import { Body, Heading, Quiet } from '../../ui/Words';
import { tellChange } from '../log/sentences';
import { useLessonContext } from './context';
import { useTurningBody } from './turning';
import { useFit } from './useFit';

/** Moves made at once, beyond which nobody knows which one helped. */
const MOST_AT_ONCE = 3;

const MOVE_NAMES: Record<MoveName, string> = {
  stanceWidth: 'width',
  leadFlare: 'lead foot',
  trailFlare: 'trail foot',
  setback: 'stance line',
  ballAlong: 'ball',
  leadShare: 'weight',
  hipBump: 'hips',
  leadHeelLift: 'lead heel',
};

/** The problem as the lesson has it; null before the legs are screened or a club is chosen. */
function useProblem(setup: Setup, pinned: readonly MoveName[]): FitProblem | null {
  const { build, method, screen } = useLessonContext();
  const body = useTurningBody();
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const clubLengthInches = useStore(lesson, (state) => state.draft?.clubLengthInches ?? 0);
  return useMemo(() => {
    if (!body || !screen || !club) return null;
    const { figures } = build;
    const student = { build: figures, legs: legTestOf(screen) };
    return {
      setup,
      build: figures,
      bands: bandsFor(method, student, { club, shot, clubLengthInches }),
      body,
      goal: USUAL_GOAL,
      naturalToeOut: naturalToeOut(screen),
      pinned,
    };
  }, [setup, build, method, screen, body, club, shot, clubLengthInches, pinned]);
}

function Pins({
  pinned,
  onToggle,
  speech,
}: {
  pinned: readonly MoveName[];
  onToggle: (move: MoveName) => void;
  speech: Speech;
}) {
  return (
    <View className="gap-1">
      <Quiet>Leave as it is</Quiet>
      <PickSeveral
        label="Leave as it is"
        options={MOVES.map((move) => ({
          value: move,
          words: capitalised(inFootWords(MOVE_NAMES[move], speech.feet, speech.hand)),
        }))}
        chosen={pinned}
        onToggle={onToggle}
      />
    </View>
  );
}

interface AnswerProps {
  answer: FitAnswer;
  setup: Setup;
  speech: Speech;
}

function take(answer: FitAnswer, lift: string): void {
  const { draft } = lesson.getState();
  replaceAgreed(answer.setup, []);
  // A lifted heel is felt, not stood: it goes with the change in words.
  const feel = lift !== '' && draft?.feel.trim() === '' ? { feel: lift } : {};
  changeDraft({ leadHeelLift: answer.leadHeelLift, ...feel });
}

function Answer({ answer, setup, speech }: AnswerProps) {
  const lines = tellChange(setup, answer.setup, speech);
  const lift = liftWords(answer, speech);
  return (
    <View
      className="gap-1 border-l-4 border-lagoon bg-sheet p-3"
      testID={`fit-${answer.kind.replaceAll(' ', '-')}`}
    >
      <Body className="font-semibold">{capitalised(answer.kind)}</Body>
      {[...lines, lift].filter(Boolean).map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      {answer.moves.length === 0 && (
        <Body>Nothing: these feet turn far enough, and everything else is in its band.</Body>
      )}
      {answer.moves.length > MOST_AT_ONCE && (
        <Quiet>{`${answer.moves.length} moves: begin with one or two of them, or nobody will know which one helped.`}</Quiet>
      )}
      <Quiet className="figures">{`Turn: ${gainWords(answer)}`}</Quiet>
      {answer.moves.length > 0 && (
        <Button words="Take this" label={`Take: ${answer.kind}`} onPress={() => take(answer, lift)} />
      )}
    </View>
  );
}

const REQUIREMENT_NAMES: Record<Requirement, string> = {
  'turn back': 'The turn back',
  'turn through': 'The turn through',
  stanceWidth: CHANGE_NAMES.stanceWidth,
  stanceLine: 'The stance line',
  leadFlare: 'The lead foot’s flare',
  trailFlare: 'The trail foot’s flare',
  ballAlong: CHANGE_NAMES.ballAlong,
  leadShare: CHANGE_NAMES.leadShare,
  hipBump: CHANGE_NAMES.hipBump,
};

const RELAXED_UNITS: Partial<Record<Requirement, 'mm' | 'percent'>> = {
  stanceWidth: 'mm',
  ballAlong: 'mm',
  hipBump: 'mm',
  leadShare: 'percent',
};

function Nothing({ relaxations, speech }: { relaxations: readonly Relaxation[]; speech: Speech }) {
  return (
    <View className="gap-1" testID="fit-nothing">
      <Body className="font-semibold">Nothing meets all of it.</Body>
      {relaxations.length === 0 && <Body>No single requirement stands in the way by itself.</Body>}
      {relaxations.slice(0, 3).map(({ requirement, by }) => (
        <Body key={requirement}>
          {inFootWords(
            `${REQUIREMENT_NAMES[requirement]} would have to give ${figureWithUnit(by, RELAXED_UNITS[requirement] ?? 'degrees', speech.length)}.`,
            speech.feet,
            speech.hand,
          )}
        </Body>
      ))}
      <Quiet>Pin less, try another club or method, or be content with a shorter turn.</Quiet>
    </View>
  );
}

/** The least change that frees the turn: answers that differ in kind, solved again as things are pinned. */
export function FitPanel({ setup, speech }: { setup: Setup; speech: Speech }) {
  const [pinned, setPinned] = useState<readonly MoveName[]>([]);
  const problem = useProblem(setup, pinned);
  const fitted = useFit(problem);
  if (!problem) return null;
  const toggle = (move: MoveName) =>
    setPinned(pinned.includes(move) ? pinned.filter((each) => each !== move) : [...pinned, move]);
  return (
    <View className="gap-2 pt-2" testID="fit-panel" aria-live="polite">
      <Heading>The least change that frees the turn</Heading>
      <Pins pinned={pinned} onToggle={toggle} speech={speech} />
      {!fitted && <Quiet>Looking …</Quiet>}
      {fitted?.unknown.map((turn) => (
        <Quiet key={turn}>{`Going ${turn} is left out: a leg has not been tested.`}</Quiet>
      ))}
      {fitted?.answers.map((answer) => (
        <Answer key={answer.kind} answer={answer} setup={setup} speech={speech} />
      ))}
      {fitted && fitted.answers.length === 0 && <Nothing relaxations={fitted.relaxations} speech={speech} />}
    </View>
  );
}
