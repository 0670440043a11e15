import { inFootWords, type Speech } from '@pedastance/core/phrases';
import type { Item } from '@pedastance/core/setup';
import { useMemo } from 'react';
import { Pressable, View } from 'react-native';
import { useStore } from 'zustand';
import { LiveFigure, type Figure } from './LiveFigure';
import { LOAD_DIALS, lesson, type Dial, type LoadDial } from '../../state/lesson';
import { Body } from '../../ui/Words';
import type { Judge } from './context';
import { bandFigure, mainFigure, otherWidths, setbackWords } from './figures';

interface RowProps {
  label: string;
  main: () => Figure;
  more?: (() => Figure) | undefined;
  band?: (() => Figure) | undefined;
  chosen?: boolean;
  onPress?: (() => void) | undefined;
  testID: string;
}

function Row({ label, main, more, band, chosen = false, onPress, testID }: RowProps) {
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
              className="live figures h-5 min-w-0 flex-[1.2] text-right font-text text-sm font-semibold"
              testID={`${testID}-band`}
            />
          )}
        </View>
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

const DIAL_NAMES: Record<Dial | LoadDial, string> = {
  stanceWidth: 'Width, heel to heel',
  leadFlare: 'Lead flare',
  trailFlare: 'Trail flare',
  setback: 'Trail foot set back',
  ballAlong: 'Ball, inside lead heel',
  ballOut: 'Ball, out from the toe line',
  leadShare: 'Weight on lead foot',
  leadHeelToe: 'Heel to toe, lead foot',
  trailHeelToe: 'Heel to toe, trail foot',
};

export function dialName(dial: Dial | LoadDial, speech: Speech): string {
  const words = inFootWords(DIAL_NAMES[dial], speech.feet, speech.hand);
  return words.charAt(0).toUpperCase() + words.slice(1);
}

const BANDED: Partial<Record<Dial | LoadDial, Item>> = {
  stanceWidth: 'stanceWidth',
  leadFlare: 'leadFlare',
  trailFlare: 'trailFlare',
  ballAlong: 'ballAlong',
  leadShare: 'leadShare',
  leadHeelToe: 'leadHeelToe',
  trailHeelToe: 'trailHeelToe',
};

interface RowsProps {
  speech: Speech;
  judge: Judge;
}

/** Rows whose chosen one is at the desk only while the desk is theirs. */
interface SharedRowsProps extends RowsProps {
  atDesk?: boolean;
}

function DialRow({
  dial,
  speech,
  judge,
  chosen,
  onPress,
}: RowsProps & { dial: Dial | LoadDial; chosen: boolean; onPress: () => void }) {
  const figures = useMemo(() => {
    const item = BANDED[dial];
    const more = { stanceWidth: otherWidths(speech), setback: setbackWords }[dial as string];
    return { main: mainFigure(dial, speech), band: item && bandFigure(item, judge, speech), more };
  }, [dial, speech.length, speech.feet, speech.hand, judge]);
  return (
    <Row
      label={dialName(dial, speech)}
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
      label={line === 'toeLine' ? 'Stance line, through the toes' : 'Heel line'}
      {...figures}
      testID={`row-${line}`}
    />
  );
}

/** Every figure of the feet and the ball, live; a touch on a row takes it to the steppers. */
export function FeetRows({ speech, judge, atDesk = true }: SharedRowsProps) {
  const dial = useStore(lesson, (state) => state.dial);
  const row = (each: Dial) => (
    <DialRow
      key={each}
      dial={each}
      speech={speech}
      judge={judge}
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
  return (
    <View>
      {LOAD_DIALS.map((each) => (
        <DialRow
          key={each}
          dial={each}
          speech={speech}
          judge={judge}
          chosen={atDesk && dial === each}
          onPress={() => lesson.setState({ loadDial: each, deskFor: 'load' })}
        />
      ))}
    </View>
  );
}
