import type { Student } from '@pedastance/contract';
import type { Body as StudentBody } from '@pedastance/core/turn';
import { isChoiceQuestion, partOf, type HouseMethod } from '@pedastance/core/method';
import {
  compareMethods,
  disputesAmong,
  type ComparedCell,
  type ComparedRow,
} from '@pedastance/core/method/compare';
import {
  bandWords,
  inFootWords,
  capitalised,
  questionFigure,
  differenceSentence,
  questionName,
  type Speech,
} from '@pedastance/core/phrases';
import { PARTS, FIGURE_WORDS } from '@pedastance/core/setup';
import { Fragment, useMemo, useState } from 'react';
import { ScrollView, View } from 'react-native';
import { Choice } from '../../ui/Choice';
import { useWide } from '../../ui/layout';
import { Select } from '../../ui/Select';
import { Body, Heading, Quiet } from '../../ui/Words';
import { PART_NAMES } from '../../domain/parts';
import type { Feet } from './feet';
import { JudgedByEach } from './JudgedByEach';
import { useSpeech } from '../../state/useSpeech';
import { VERDICT_SHAPES, verdictWords } from '../../domain/verdicts';
import { messages } from './SideBySide.messages';

function cellVerdict({ question }: ComparedRow, verdict: NonNullable<ComparedCell['verdict']>): string {
  if (verdict === 'as taught') return messages.asTaught(VERDICT_SHAPES.in);
  if (verdict === 'otherwise') return `${VERDICT_SHAPES.above} otherwise`;
  return `${VERDICT_SHAPES[verdict]} ${verdictWords(question, verdict)}`;
}

const rowName = ({ item, question }: ComparedRow, speech: Speech): string =>
  capitalised(inFootWords(item ? FIGURE_WORDS[item].name : questionName(question), speech.feet, speech.hand));

function measuredWords({ question, measured, seen }: ComparedRow, speech: Speech): string {
  if (seen !== null) return seen;
  return measured && !isChoiceQuestion(question)
    ? questionFigure(question, measured.value, speech.length)
    : 'not looked at';
}

/** What a method asks for, and how far it lets it be. */
function askedWords(
  { question }: ComparedRow,
  { band, wanted }: ComparedCell,
  speech: Speech,
): [string, string] {
  if (wanted) return [wanted.join(' or '), ''];
  if (!band || isChoiceQuestion(question)) return ['left free', ''];
  return [questionFigure(question, band.middle, speech.length), bandWords(question, band, speech.length)];
}

function Cell({ row, cell, speech }: { row: ComparedRow; cell: ComparedCell; speech: Speech }) {
  const [middle, band] = askedWords(row, cell, speech);
  const good = cell.verdict === 'in' || cell.verdict === 'as taught';
  return (
    <>
      <Body className="figures font-semibold">{middle}</Body>
      {band !== '' && <Quiet className="figures">{band}</Quiet>}
      {cell.verdict && (
        <Body tone={good ? 'moss' : 'rust'} className="text-sm font-semibold">
          {cellVerdict(row, cell.verdict)}
        </Body>
      )}
    </>
  );
}

interface TableProps {
  rows: readonly ComparedRow[];
  methods: readonly HouseMethod[];
  speech: Speech;
}

function ColumnsRow({ row, methods, speech }: Omit<TableProps, 'rows'> & { row: ComparedRow }) {
  return (
    <View
      role="row"
      className="flex-row border-b border-grid"
      testID={`compared-${row.item ?? row.question}`}
    >
      <View role="rowheader" className="w-[190px] p-2">
        <Body className="font-semibold">{rowName(row, speech)}</Body>
        <Quiet className="figures">{measuredWords(row, speech)}</Quiet>
        <Agreement row={row} />
      </View>
      {row.cells.map((cell, at) => (
        <View key={methods[at]!.id} role="cell" className="w-[150px] p-2">
          <Cell row={row} cell={cell} speech={speech} />
        </View>
      ))}
    </View>
  );
}

/** Every method a column, with their names again at each part of the body. */
function Columns({ rows, methods, speech }: TableProps) {
  return (
    <ScrollView horizontal tabIndex={0} aria-label={messages.methodsAColumnEach}>
      <View role="table" aria-label={messages.questionsByMethods}>
        {PARTS.map((part) => (
          <Fragment key={part}>
            <View role="row" className="flex-row border-b border-ink">
              <View role="columnheader" className="w-[190px] p-2">
                <Body className="font-heading font-bold">{PART_NAMES[part]}</Body>
              </View>
              {methods.map(({ id, name }) => (
                <View key={id} role="columnheader" className="w-[150px] p-2">
                  <Quiet tone="ink" className="font-semibold">
                    {name}
                  </Quiet>
                </View>
              ))}
            </View>
            {rows
              .filter(({ question }) => partOf(question) === part)
              .map((row) => (
                <ColumnsRow key={row.item ?? row.question} row={row} methods={methods} speech={speech} />
              ))}
          </Fragment>
        ))}
      </View>
    </ScrollView>
  );
}

const AGREEMENT: Record<ComparedRow['agreement'], string> = {
  agree: '= agree',
  split: '≠ split',
  'at most one view': '',
};

function Agreement({ row }: { row: ComparedRow }) {
  return AGREEMENT[row.agreement] === '' ? null : (
    <Quiet tone={row.agreement === 'split' ? 'rust' : 'pencil'} className="font-semibold">
      {AGREEMENT[row.agreement]}
    </Quiet>
  );
}

/** Two methods, one under the other, with the difference in a sentence. */
function Pair({ rows, methods, speech }: TableProps) {
  const [a, b] = methods;
  if (!a || !b) return null;
  return (
    <View>
      {rows.map((row) => (
        <View
          key={row.item ?? row.question}
          className="gap-1 border-b border-grid py-3"
          testID={`pair-${row.item ?? row.question}`}
        >
          <View className="flex-row items-baseline justify-between gap-2">
            <Body className="flex-1 font-semibold">{rowName(row, speech)}</Body>
            <Body className="figures">{measuredWords(row, speech)}</Body>
            <Agreement row={row} />
          </View>
          <View className="flex-row gap-3">
            {[a, b].map((method, at) => (
              <View key={method.id} className="flex-1">
                <Quiet numberOfLines={1}>{method.name}</Quiet>
                <Cell row={row} cell={row.cells[at]!} speech={speech} />
              </View>
            ))}
          </View>
          <Body>
            {inFootWords(
              differenceSentence(
                row.question,
                { name: a.name, cell: row.cells[0]! },
                { name: b.name, cell: row.cells[1]! },
                speech.length,
              ),
              speech.feet,
              speech.hand,
            )}
          </Body>
        </View>
      ))}
    </View>
  );
}

function Disputes({
  methods,
  body,
  feet,
}: {
  methods: readonly HouseMethod[];
  body: StudentBody;
  feet: Feet;
}) {
  const disputes = useMemo(() => disputesAmong(methods, body, feet.played), [methods, body, feet.played]);
  if (disputes.length === 0) return null;
  return (
    <View className="gap-2">
      <Heading>{messages.whereSchoolsContradictEachOther}</Heading>
      {disputes.map(({ question, title, sides }) => (
        <View
          key={question}
          className="gap-1 border-l-4 border-straw bg-sheet p-3"
          testID={`dispute-${question}`}
        >
          <Body className="font-semibold">{title}</Body>
          {sides.map(({ name, says, methods: taken }) => (
            <View key={name}>
              <Body>{`${name}: ${says}`}</Body>
              <Quiet>{taken.join(', ')}</Quiet>
            </View>
          ))}
        </View>
      ))}
    </View>
  );
}

type Rows = 'split' | 'all';

interface SideBySideProps {
  student: Student;
  body: StudentBody;
  feet: Feet;
  methods: readonly HouseMethod[];
}

/** One setup against methods: two told apart in sentences, and on a wide screen all in columns. */
export function SideBySide({ student, body, feet, methods }: SideBySideProps) {
  const speech = useSpeech(student.hand);
  const wide = useWide();
  const [first, setFirst] = useState(methods[0]!.id);
  const [second, setSecond] = useState(methods[1]!.id);
  const [which, setWhich] = useState<Rows>('split');
  const named = (id: string) => methods.find((method) => method.id === id) ?? methods[0]!;
  const pair = useMemo(() => [named(first), named(second)], [first, second, methods]);
  const rowsOf = (of: readonly HouseMethod[]) => compareMethods(feet.setup, body, feet.played, of);
  const pairRows = useMemo(() => rowsOf(pair), [pair, body, feet]);
  const allRows = useMemo(() => (wide ? rowsOf(methods) : []), [wide, methods, body, feet]);
  const options = methods.map(({ id, name, version }) => ({
    value: id,
    words: version === 0 ? messages.school(name) : name,
  }));
  const shown = pairRows.filter(({ agreement }) => which === 'all' || agreement === 'split');
  const splits = pairRows.filter(({ agreement }) => agreement === 'split').length;
  return (
    <View className="gap-4">
      <View className={wide ? 'flex-row gap-3' : 'gap-2'}>
        <View className="flex-1">
          <Select label={messages.oneMethod} options={options} value={first} onChange={setFirst} />
        </View>
        <View className="flex-1">
          <Select label={messages.setAgainst} options={options} value={second} onChange={setSecond} />
        </View>
      </View>
      <JudgedByEach student={student} body={body} feet={feet} methods={pair} speech={speech} />
      <Choice
        label={messages.questions}
        options={[
          { value: 'split', words: messages.whereTheySplit(splits) },
          { value: 'all', words: messages.all(pairRows.length) },
        ]}
        value={which}
        onChange={setWhich}
      />
      {shown.length === 0 ? (
        <Body>{messages.nothingOneStanceWouldPlease}</Body>
      ) : (
        <Pair rows={shown} methods={pair} speech={speech} />
      )}
      <Disputes methods={methods} body={body} feet={feet} />
      {wide && (
        <>
          <Heading>{messages.allOfThem}</Heading>
          <Columns rows={allRows} methods={methods} speech={speech} />
        </>
      )}
    </View>
  );
}
