import { clubAndShot } from '@pedastance/core/club';
import type { Judgement } from '@pedastance/core/advice';
import { playedKey, type FigureQuestion, type HouseMethod, type Played } from '@pedastance/core/method';
import { laidOnLeadToe, wholeBag, type ClubAsTaught } from '@pedastance/core/method/compare';
import { questionFigure, type Speech } from '@pedastance/core/phrases';
import { measureAddress } from '@pedastance/core/setup';
import type { Body as StudentBody } from '@pedastance/core/turn';
import type { Student } from '@pedastance/contract';
import { useMemo, useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { wholeGhost } from '../../plan/drawing';
import { Plan, stillScene } from '../../plan/Plan';
import { usePreferences } from '../../state/preferences';
import { newestScreen, useRecords } from '../../state/records';
import { Choice } from '../../ui/Choice';
import { useWide } from '../../ui/layout';
import { Select } from '../../ui/Select';
import { Body, Quiet } from '../../ui/Words';
import { spoken } from '../../domain/sentences';
import { useSpeech } from '../../state/useSpeech';
import { useComputation } from '../../workers/useComputation';
import { Told } from './JudgedByEach';
import { useCaseOf } from './useCaseOf';
import { common } from '../../domain/common.messages';
import { messages } from './WholeBag.messages';

const COLUMNS: readonly { question: FigureQuestion; head: string; width: string }[] = [
  { question: 'stanceWidth', head: messages.width, width: 'w-[84px]' },
  { question: 'ballAlong', head: messages.ballInside, width: 'w-[84px]' },
  { question: 'ballOut', head: messages.ballOut, width: 'w-[84px]' },
  { question: 'stanceLine', head: messages.line, width: 'w-[112px]' },
  { question: 'leadShare', head: messages.onLead, width: 'w-[72px]' },
  { question: 'leadFlare', head: messages.leadFlare, width: 'w-[84px]' },
  { question: 'trailFlare', head: messages.trailFlare, width: 'w-[84px]' },
];

/** The figure of these feet; what a method leaves free of them is said so. */
function figureIn({ bands, setup }: ClubAsTaught, question: FigureQuestion, speech: Speech): string {
  if (!bands.figures[question]) return 'free';
  const { stanceWidth, ballAlong, ballOut, toeLine, leadFlare, trailFlare } = measureAddress(setup.address);
  const { leadShare } = setup.balance;
  const figures = { stanceWidth, ballAlong, ballOut, stanceLine: toeLine, leadShare, leadFlare, trailFlare };
  return questionFigure(question, figures[question as keyof typeof figures], speech.length);
}

interface TableProps {
  bag: readonly ClubAsTaught[];
  chosen: ClubAsTaught;
  speech: Speech;
  onChoose: (club: ClubAsTaught) => void;
}

function BagTable({ bag, chosen, speech, onChoose }: TableProps) {
  return (
    <ScrollView horizontal tabIndex={0} aria-label={messages.theBagARow}>
      <View role="table" aria-label={messages.theBag}>
        <View role="row" className="flex-row border-b border-ink">
          <View role="columnheader" className="w-[150px] p-2">
            <Body className="font-semibold">{common.club}</Body>
          </View>
          {COLUMNS.map(({ question, head, width }) => (
            <View key={question} role="columnheader" className={`${width} p-2`}>
              <Body className="font-semibold">{spoken(head, speech)}</Body>
            </View>
          ))}
        </View>
        {bag.map((club) => {
          const on = club === chosen;
          const name = clubAndShot(club.played.club, club.played.shot);
          return (
            <View
              key={playedKey(club.played)}
              role="row"
              className={`flex-row border-b border-grid ${on ? 'bg-grid' : ''}`}
            >
              <View role="rowheader" className="w-[150px]">
                <Pressable
                  role="button"
                  aria-pressed={on}
                  aria-label={messages.showOnThePlan(name)}
                  onPress={() => onChoose(club)}
                  className="min-h-[48px] justify-center px-2"
                >
                  <Body tone={on ? 'ink' : 'lagoon'} className="font-semibold">
                    {name}
                  </Body>
                </Pressable>
              </View>
              {COLUMNS.map(({ question, width }) => (
                <View key={question} role="cell" className={`${width} justify-center p-2`}>
                  <Body className="figures">{figureIn(club, question, speech)}</Body>
                </View>
              ))}
            </View>
          );
        })}
      </View>
    </ScrollView>
  );
}

const nameOf = ({ played }: ClubAsTaught): string => clubAndShot(played.club, played.shot);

/** Clubs whose feet are drawn dashed beside the chosen one's: the ends of the bag and its middle. */
const GHOSTS = ['driver full', '7-iron full', 'lob-wedge full'];

/** A club as the method teaches it, and what this student needs with it; null while that is being worked out. */
interface JudgedClub extends ClubAsTaught {
  judgement: Judgement | null;
}

/** The bag as the method teaches it, or with what the judgement of each club would do. */
function useBag(method: HouseMethod, body: StudentBody, student: Student, judged: boolean): JudgedClub[] {
  const caseOf = useCaseOf(student, body);
  const taught = useMemo(() => wholeBag(method, body), [method, body]);
  const question = useMemo(() => {
    if (!judged) return null;
    const of = taught.flatMap(({ setup, played }) => caseOf({ setup, played, method, cameFor: [] }) ?? []);
    return { ask: 'judgeEach' as const, of };
  }, [caseOf, taught, method, judged]);
  const { answer } = useComputation(question);
  return useMemo(
    () =>
      taught.map((club, at) => {
        const judgement = (judged && answer?.[at]) || null;
        return { ...club, setup: judgement?.setup ?? club.setup, judgement };
      }),
    [taught, judged, answer],
  );
}

interface WholeBagProps {
  student: Student;
  body: StudentBody;
  methods: readonly HouseMethod[];
  played: Played;
}

/** How width, ball, line and balance move from wedge to driver, as a table and on the plan. */
export function WholeBag({ student, body, methods, played }: WholeBagProps) {
  const speech = useSpeech(student.hand);
  const wide = useWide();
  const viewpoint = usePreferences((state) => state.viewpoint);
  const [id, setId] = useState(methods[0]!.id);
  const [at, setAt] = useState<string>(`${played.club} ${played.shot}`);
  const method = methods.find((each) => each.id === id) ?? methods[0]!;
  const screened = useRecords((state) => newestScreen(state.screens, student.id) !== null);
  const [judged, setJudged] = useState(false);
  const bag = useBag(method, body, student, judged);
  const keyOf = ({ played: of }: ClubAsTaught) => `${of.club} ${of.shot}`;
  const chosen = bag.find((club) => keyOf(club) === at) ?? bag[0];
  const ghosts = useMemo(
    () =>
      bag
        .filter((club) => club !== chosen && GHOSTS.includes(keyOf(club)))
        .map(({ setup }) => wholeGhost(laidOnLeadToe(setup, chosen!.setup))),
    [bag, chosen],
  );
  const scene = useMemo(() => chosen && stillScene(chosen.setup, ghosts), [chosen, ghosts]);
  return (
    <View className="gap-3">
      <Select
        label={messages.method}
        options={methods.map((each) => ({
          value: each.id,
          words: each.version === 0 ? messages.school(each.name) : each.name,
        }))}
        value={method.id}
        onChange={setId}
      />
      {screened && (
        <Choice
          label={messages.feet}
          options={[
            { value: 'taught', words: messages.asTheMethodTeaches },
            { value: 'judged', words: messages.asThisBodyNeeds },
          ]}
          value={judged ? 'judged' : 'taught'}
          onChange={(which) => setJudged(which === 'judged')}
        />
      )}
      {chosen && scene && (
        <>
          {chosen.judgement && (
            <View className="flex-row" testID="judged-club" aria-live="polite">
              <Told
                judgement={chosen.judgement}
                name={nameOf(chosen)}
                shoeLength={chosen.setup.address.shoe.length}
                speech={speech}
              />
            </View>
          )}
          <View className={wide ? 'flex-row flex-wrap gap-4' : 'gap-3'}>
            <View className={`h-[400px] border border-grid ${wide ? 'min-w-[360px] flex-1' : ''}`}>
              <Plan
                key={`${method.id} ${method.version} ${at} ${viewpoint} ${chosen.judgement !== null}`}
                scene={scene}
                ghosts={ghosts}
                hand={student.hand}
                viewpoint={viewpoint}
                length={speech.length}
                footWords={speech.feet}
                shoulderBreadth={body.build.shoulderBreadth.value}
                holds="none"
                label={messages.theFeetAsHasThem(nameOf(chosen), method.name)}
              />
            </View>
            <View className={wide ? 'max-w-full' : ''}>
              <BagTable bag={bag} chosen={chosen} speech={speech} onChoose={(club) => setAt(keyOf(club))} />
            </View>
          </View>
          <Quiet>{messages.solidDashedDriverIron(nameOf(chosen))}</Quiet>
        </>
      )}
    </View>
  );
}
