import { type Speech } from '@pedastance/core/phrases';
import { figureOf, FIGURES, type Item, ITEMS, LOAD_FIGURES } from '@pedastance/core/setup';
import { useMemo } from 'react';
import { Pressable, View } from 'react-native';
import { useStore } from 'zustand';
import { LiveFigure, type Figure } from './LiveFigure';
import { lesson, type Dial, type LoadDial } from '../../state/lesson';
import { Body, Quiet } from '../../ui/Words';
import { useLessonContext, type Judge } from './context';
import { bandFigure, mainFigure, otherWidths, setbackWords } from './figures';
import { figure, figureName } from '../../domain/sentences';
import { shortDay } from '../../domain/students';
import { useLastRecord } from '../../state/useLastRecord';
import { messages } from './MeasureRows.messages';

interface RowProps {
  label: string;
  main: () => Figure;
  more?: (() => Figure) | undefined;
  band?: (() => Figure) | undefined;
  /** What was last agreed of it with this club. */
  agreed?: string | undefined;
  chosen?: boolean;
  onPress?: (() => void) | undefined;
  testID: string;
}

function Row({ label, main, more, band, agreed, chosen = false, onPress, testID }: RowProps) {
  const moreHeight = band ? 'h-5' : 'h-10 wraps';
  const inside = (
    <>
      <View className="flex-row items-center justify-between gap-3">
        <Body tone={chosen ? 'lagoon' : 'ink'} className={`flex-1 ${chosen ? 'font-semibold' : ''}`}>
          {label}
        </Body>
        <LiveFigure
          figure={main}
          className="live figures h-7 w-[152px] text-right font-text text-xl font-semibold text-ink"
          testID={`${testID}-figure`}
        />
      </View>
      {(more || band) && (
        <View className="flex-row gap-2">
          {more && (
            <LiveFigure
              figure={more}
              className={`live figures min-w-0 flex-1 font-text text-sm text-pencil ${moreHeight}`}
            />
          )}
          {band && (
            <LiveFigure
              figure={band}
              className="live figures h-5 min-w-0 flex-[1.2] text-right font-text text-sm font-semibold text-pencil"
              testID={`${testID}-band`}
            />
          )}
        </View>
      )}
      {agreed && (
        <Quiet testID={`${testID}-agreed`} className="figures">
          {agreed}
        </Quiet>
      )}
    </>
  );
  const look = `min-h-[52px] justify-center border-b border-grid py-1.5 pl-2 ${chosen ? 'border-l-4 border-l-lagoon' : 'border-l-4 border-l-transparent'}`;
  if (!onPress)
    return (
      <View testID={testID} className={look}>
        {inside}
      </View>
    );
  return (
    <Pressable role="button" aria-pressed={chosen} onPress={onPress} testID={testID} className={look}>
      {inside}
    </Pressable>
  );
}

/** The item whose band stands beside a dial; a foot set back is read as a line. */
const bandedItem = (dial: Dial | LoadDial): Item | null =>
  (ITEMS as readonly string[]).includes(dial) ? (dial as Item) : null;

interface RowsProps {
  speech: Speech;
  judge: Judge;
}

/** Rows whose chosen one is at the desk only while the desk is theirs. */
interface SharedRowsProps extends RowsProps {
  atDesk?: boolean;
}

/** Says what was last agreed of a figure with the lesson's club: beside today's, and never in its place. */
function useAgreed(speech: Speech): (dial: Dial | LoadDial) => string | undefined {
  const { student, build } = useLessonContext();
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const last = useLastRecord(student.id, build);
  const { agreed } = (club && last(club, shot)) || {};
  return (dial) =>
    agreed
      ? `agreed ${shortDay(agreed.madeAt)}: ${figure(figureOf(agreed.setup, dial)!, FIGURES[dial].unit, speech)}`
      : undefined;
}

function DialRow({
  dial,
  speech,
  judge,
  agreed,
  chosen,
  onPress,
}: RowsProps & {
  dial: Dial | LoadDial;
  agreed: string | undefined;
  chosen: boolean;
  onPress: () => void;
}) {
  const figures = useMemo(() => {
    const item = bandedItem(dial);
    const more = { stanceWidth: otherWidths(speech), setback: setbackWords }[dial as string];
    return { main: mainFigure(dial, speech), band: item ? bandFigure(item, judge, speech) : undefined, more };
  }, [dial, speech.length, speech.feet, speech.hand, judge]);
  return (
    <Row
      label={figureName(dial, speech)}
      agreed={agreed}
      {...figures}
      chosen={chosen}
      onPress={onPress}
      testID={`row-${dial}`}
    />
  );
}

function LineRow({ line, speech, judge }: RowsProps & { line: 'toeLine' | 'heelLine' }) {
  const figures = useMemo(
    () => ({
      main: mainFigure(line, speech),
      band: line === 'toeLine' ? bandFigure('stanceLine', judge, speech) : undefined,
    }),
    [line, speech.length, judge],
  );
  return (
    <Row
      label={line === 'toeLine' ? messages.stanceLineThroughTheToes : messages.heelLine}
      {...figures}
      testID={`row-${line}`}
    />
  );
}

/** Every figure of the feet and the ball, live; a touch on a row takes it to the steppers. */
export function FeetRows({ speech, judge, atDesk = true }: SharedRowsProps) {
  const dial = useStore(lesson, (state) => state.dial);
  const agreed = useAgreed(speech);
  const row = (each: Dial) => (
    <DialRow
      key={each}
      dial={each}
      speech={speech}
      judge={judge}
      agreed={agreed(each)}
      chosen={atDesk && dial === each}
      onPress={() => lesson.setState({ dial: each, deskFor: 'feet' })}
    />
  );
  return (
    <View>
      {row('stanceWidth')}
      {row('trailFlare')}
      {row('leadFlare')}
      <LineRow line="toeLine" speech={speech} judge={judge} />
      <LineRow line="heelLine" speech={speech} judge={judge} />
      {row('setback')}
      {row('ballAlong')}
      {row('ballOut')}
    </View>
  );
}

/** Where the load is, live. */
export function LoadRows({ speech, judge, atDesk = true }: SharedRowsProps) {
  const dial = useStore(lesson, (state) => state.loadDial);
  const agreed = useAgreed(speech);
  return (
    <View>
      {LOAD_FIGURES.map((each) => (
        <DialRow
          key={each}
          dial={each}
          speech={speech}
          judge={judge}
          agreed={agreed(each)}
          chosen={atDesk && dial === each}
          onPress={() => lesson.setState({ loadDial: each, deskFor: 'load' })}
        />
      ))}
    </View>
  );
}
