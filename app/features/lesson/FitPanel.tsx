import {
  type Fit,
  type FitAnswer,
  type FitProblem,
  type MoveName,
  type Relaxation,
  type Requirement,
} from '@pedastance/core/fit';
import { bandsFor, type Bands } from '@pedastance/core/method';
import { capitalised, inFootWords, gainWords, type Speech } from '@pedastance/core/phrases';
import { FIGURE_WORDS, type Setup } from '@pedastance/core/setup';
import { figureWithUnit } from '@pedastance/core/units';
import { useEffect, useMemo } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { lesson, replaceAgreed } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { Body, Heading, Quiet } from '../../ui/Words';
import { findingFigure, figureName, tellAgreed } from '../../domain/sentences';
import { remediesOf } from '../../domain/facts';
import { useJudge, useLessonContext } from './context';
import { offeredGhosts } from './offers';
import { useComputation } from '../../workers/useComputation';
import { useGoal } from './turning';
import { verdictWords } from '../../domain/verdicts';
import { turningFeet } from '@pedastance/core/turn';
import { messages } from './FitPanel.messages';

/** Moves made at once, beyond which nobody knows which one helped. */
const MOST_AT_ONCE = 3;

/** A line is come to within this, degrees (starting value). */
const LINE_TO_WITHIN = 1;

/** The method's bands, with the stance line that is asked for in place of its own. */
function askedFor(line: number | null, bands: Bands): Bands {
  const own = bands.figures.stanceLine;
  if (line === null || !own) return bands;
  const stanceLine = { ...own, low: line - LINE_TO_WITHIN, middle: line, high: line + LINE_TO_WITHIN };
  return { ...bands, figures: { ...bands.figures, stanceLine } };
}

/** The problem as the lesson has it; null before the legs are screened or a club is chosen. */
function useProblem(setup: Setup, pinned: readonly MoveName[]): FitProblem | null {
  const { build, method, legs, cautions } = useLessonContext();
  const goal = useGoal();
  const line = useStore(lesson, (state) => state.lineAsked);
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const clubLengthInches = useStore(lesson, (state) => state.draft?.clubLengthInches ?? 0);
  return useMemo(() => {
    if (!legs || !club) return null;
    const { figures } = build;
    const student = { build: figures, legs };
    return {
      setup,
      build: figures,
      bands: askedFor(line, bandsFor(method, student, { club, shot, clubLengthInches })),
      body: legs,
      goal,
      pinned,
      ...remediesOf(cautions),
    };
  }, [setup, build, method, legs, cautions, goal, line, club, shot, clubLengthInches, pinned]);
}

interface AnswerProps {
  answer: FitAnswer;
  /** Its number on the plan, from 0. */
  at: number;
  setup: Setup;
  speech: Speech;
}

/** What the answer leaves short, of its own requirements and of all else that is read. */
function StaysUnmet({ answer, speech }: Pick<AnswerProps, 'answer' | 'speech'>) {
  const judge = useJudge();
  const out = judge(answer.setup)?.findings.filter(({ verdict }) => verdict !== 'in') ?? [];
  const short = answer.unmet.map((each) => `${asked(each, speech)} by ${given(each, speech)}`);
  const read = out.map((finding) => {
    const figure = findingFigure(finding, finding.measured, speech);
    return `${figureName(finding.item, speech)} ${figure}, ${verdictWords(finding.question, finding.verdict)}`;
  });
  return (
    <>
      {short.length > 0 && <Body>{messages.fallsShort(short.join('; '))}</Body>}
      {read.length > 0 && <Quiet>{messages.stillOutOfItsBand(read.join('; '))}</Quiet>}
    </>
  );
}

function Answer({ answer, at, setup, speech }: AnswerProps) {
  const lines = tellAgreed(setup, answer.setup, answer.leadHeelLift, speech);
  return (
    <View
      className="gap-1 border-l-4 border-lagoon bg-sheet p-3"
      testID={`fit-${answer.kind.replaceAll(' ', '-')}`}
    >
      <Body className="font-semibold">{`${at + 1}  ${capitalised(answer.kind)}`}</Body>
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      {answer.moves.length === 0 && answer.unmet.length === 0 && (
        <Body>{messages.nothingTheseFeetTurnFar}</Body>
      )}
      {answer.moves.length > MOST_AT_ONCE && <Quiet>{messages.movesBeginWithOne(answer.moves.length)}</Quiet>}
      <Quiet className="figures">{messages.turn(gainWords(answer))}</Quiet>
      <StaysUnmet answer={answer} speech={speech} />
      {answer.moves.length > 0 && (
        <Button
          words={messages.takeThis}
          label={messages.take(answer.kind)}
          onPress={() => replaceAgreed(answer.setup, answer.leadHeelLift)}
        />
      )}
    </View>
  );
}

const REQUIREMENT_NAMES: Record<Requirement, string> = {
  'turn back': messages.theTurnBack,
  'turn through': messages.theTurnThrough,
  stanceWidth: FIGURE_WORDS.stanceWidth.name,
  stanceLine: messages.theStanceLine,
  leadFlare: messages.theLeadFootsFlare,
  trailFlare: messages.theTrailFootsFlare,
  ballAlong: FIGURE_WORDS.ballAlong.name,
  leadShare: FIGURE_WORDS.leadShare.name,
  hipBump: FIGURE_WORDS.hipBump.name,
};

const RELAXED_UNITS: Partial<Record<Requirement, 'mm' | 'percent'>> = {
  stanceWidth: 'mm',
  ballAlong: 'mm',
  hipBump: 'mm',
  leadShare: 'percent',
};

const asked = ({ requirement }: Relaxation, speech: Speech): string =>
  inFootWords(REQUIREMENT_NAMES[requirement], speech.feet, speech.hand);

const given = ({ requirement, by }: Relaxation, speech: Speech): string =>
  figureWithUnit(by, RELAXED_UNITS[requirement] ?? 'degrees', speech.length);

interface NothingProps {
  fitted: Fit;
  setup: Setup;
  speech: Speech;
}

function Nothing({ fitted: { relaxations, nearest }, setup, speech }: NothingProps) {
  return (
    <View className="gap-1" testID="fit-nothing">
      <Body className="font-semibold">{messages.nothingMeetsAll}</Body>
      {relaxations.length === 0 && <Body>{messages.moreThanOneThingStands}</Body>}
      {relaxations.slice(0, 3).map((each) => (
        <Body key={each.requirement}>
          {messages.wouldHaveToGive(asked(each, speech), given(each, speech))}
        </Body>
      ))}
      {nearest && <Answer answer={nearest} at={0} setup={setup} speech={speech} />}
      <Quiet>{messages.unlockSomethingTryAnotherClub}</Quiet>
    </View>
  );
}

/** The least change that frees the turn: answers that differ in kind, solved again as things are pinned. */
export function FitPanel({ setup, speech }: { setup: Setup; speech: Speech }) {
  const pinned = useStore(lesson, (state) => state.draft!.pinned);
  const problem = useProblem(setup, pinned);
  const question = useMemo(() => problem && { ask: 'fit' as const, of: problem }, [problem]);
  const { answer: fitted, done, stopped, stop } = useComputation(question);
  useEffect(() => {
    const answers = fitted ? [...fitted.answers, ...(fitted.nearest ? [fitted.nearest] : [])] : [];
    lesson.setState({ offers: offeredGhosts(setup, answers) });
    return () => lesson.setState({ offers: [] });
  }, [fitted, setup]);
  if (!problem) return null;
  if (!turningFeet(setup, 0, 0)) {
    return (
      <View className="gap-2 pt-2" testID="fit-panel">
        <Heading>{messages.theLeastChangeThatFrees}</Heading>
        <Quiet>{messages.measureBothFlaresFirst}</Quiet>
      </View>
    );
  }
  return (
    <View className="gap-2 pt-2" testID="fit-panel" aria-live="polite">
      <Heading>{messages.theLeastChangeThatFrees}</Heading>
      {!fitted && !stopped && (
        <Quiet>{done === null ? messages.looking : messages.lookingDone(Math.round(100 * done))}</Quiet>
      )}
      {done !== null && !fitted && !stopped && (
        <Button look="quiet" words={messages.stopLooking} onPress={stop} />
      )}
      {stopped && <Quiet>{messages.stoppedLockOrUnlockSomething}</Quiet>}
      {fitted?.spared.map((turn) => (
        <Quiet key={turn}>{messages.goingIsNotAsked(turn)}</Quiet>
      ))}
      {fitted?.answers.map((answer, at) => (
        <Answer key={answer.kind} answer={answer} at={at} setup={setup} speech={speech} />
      ))}
      {fitted && fitted.answers.length === 0 && <Nothing fitted={fitted} setup={setup} speech={speech} />}
    </View>
  );
}
