import type { Hand } from '@pedastance/core/body';
import {
  SHOT_FIGURES,
  SHOT_RANGES,
  STRIKES,
  type Shot,
  type ShotFigure,
  type Strike,
} from '@pedastance/core/trial';
import { shotFigure, shotNumber, type Units } from '@pedastance/core/units';
import { useRef, useState } from 'react';
import { Pressable, Text, TextInput, View } from 'react-native';
import { COLUMN_NAMES } from '../domain/shotColumns';
import { typedShot, WAYS, type TypedRow, type Way } from '../domain/typedShot';
import { prefer, usePreferences } from '../state/preferences';
import { useUnits } from '../state/useSpeech';
import { Button } from '../ui/Button';
import { Choice } from '../ui/Choice';
import { PickSeveral } from '../ui/PickSeveral';
import { Body, Quiet } from '../ui/Words';
import { common } from '../domain/common.messages';
import { messages } from './TypedRowFields.messages';

const EMPTY: TypedRow['numbers'] = {};

interface FigureFieldProps {
  figure: ShotFigure;
  value: string;
  way: Way;
  faulty: boolean;
  field: (input: TextInput | null) => void;
  onChange: (text: string) => void;
  onWay: (way: Way) => void;
  onNext: () => void;
}

/** One figure of a row: which way, the number, its unit. Enter goes on to the next. */
function FigureField({ figure, value, way, faulty, field, onChange, onWay, onNext }: FigureFieldProps) {
  const unit = shotNumber.unit(SHOT_RANGES[figure].unit, useUnits());
  const ways = WAYS[figure];
  const said = ways?.[way === 'plus' ? 0 : 1];
  return (
    <View className="min-h-[52px] flex-row items-center gap-2 border-b border-grid">
      <Body className="flex-1" aria-hidden>
        {COLUMN_NAMES[figure]}
      </Body>
      {ways && (
        <Pressable
          role="button"
          aria-label={messages.changeTo(COLUMN_NAMES[figure], said ?? '', ways[way === 'plus' ? 1 : 0])}
          onPress={() => onWay(way === 'plus' ? 'minus' : 'plus')}
          className="min-h-[48px] min-w-[76px] items-center justify-center rounded-md border border-ink px-2"
        >
          <Text className="font-text text-base text-ink">{said}</Text>
        </Pressable>
      )}
      <TextInput
        ref={field}
        aria-label={`${COLUMN_NAMES[figure]}, ${unit}`}
        aria-invalid={faulty}
        inputMode="decimal"
        value={value}
        onChangeText={onChange}
        onSubmitEditing={onNext}
        submitBehavior="submit"
        className={`figures h-12 w-24 rounded-md border bg-sheet px-3 text-right font-text text-lg text-ink ${faulty ? 'border-2 border-rust' : 'border-ink'}`}
      />
      <Quiet aria-hidden className="w-12">
        {unit}
      </Quiet>
    </View>
  );
}

function Columns({ chosen }: { chosen: readonly ShotFigure[] }) {
  return (
    <PickSeveral
      label={messages.columns}
      options={SHOT_FIGURES.map((value) => ({ value, words: COLUMN_NAMES[value] }))}
      chosen={chosen}
      onToggle={(figure) =>
        prefer({
          shotColumns: SHOT_FIGURES.filter((each) => (each === figure) !== chosen.includes(each)),
        })
      }
    />
  );
}

/** The columns this coach types, and with them those that have to be typed here. */
function useColumns(needed: readonly ShotFigure[]): ShotFigure[] {
  const chosen = usePreferences((state) => state.shotColumns);
  return SHOT_FIGURES.filter((figure) => chosen.includes(figure) || needed.includes(figure));
}

/** What is wrong with a typed figure, in the coach's own unit. */
function faultWords(
  figure: ShotFigure,
  { expected, found }: { expected: string; found: string },
  units: Units,
): string {
  const { least, most, unit } = SHOT_RANGES[figure];
  const inRange = expected.startsWith(String(least));
  const range = `${shotFigure(least, unit, units)} to ${shotFigure(most, unit, units)}`;
  return `${COLUMN_NAMES[figure]}: expected ${inRange ? range : expected}, found “${found}”`;
}

interface TypedRowFieldsProps {
  hand: Hand;
  /** Figures that this row cannot do without. */
  needed: readonly ShotFigure[];
  words: string;
  /** Whether a shot can be kept: it shows what decides. */
  enough: (shot: Shot) => boolean;
  onShot: (shot: Shot) => Promise<void>;
}

/** A shot's row, typed as the coach's monitor shows it; the columns are the coach's own choice. */
export function TypedRowFields({ hand, needed, words, enough, onShot }: TypedRowFieldsProps) {
  const units = useUnits();
  const columns = useColumns(needed);
  const [numbers, setNumbers] = useState(EMPTY);
  // Which way the last shot went is the best guess for the next.
  const [ways, setWays] = useState<TypedRow['ways']>({ path: 'minus', attack: 'minus' });
  const [strike, setStrike] = useState<Strike | null>(null);
  const [fault, setFault] = useState<{ figure: ShotFigure | null; words: string } | null>(null);
  const [choosing, setChoosing] = useState(false);
  const fields = useRef<Partial<Record<ShotFigure, TextInput | null>>>({});
  const read = typedShot({ numbers, ways }, columns, units, hand);
  const shot: Shot | null =
    'shot' in read
      ? { ...read.shot, ...(strike && { strike }), mishit: strike === 'fat' || strike === 'thin' }
      : null;
  const keep = async () => {
    if (!shot) {
      const { figure, ...wrong } = read as Exclude<typeof read, { shot: Shot }>;
      return setFault({ figure, words: faultWords(figure, wrong, units) });
    }
    if (!enough(shot)) return;
    try {
      await onShot(shot);
      setNumbers(EMPTY);
      setStrike(null);
      setFault(null);
      fields.current[columns[0]!]?.focus();
    } catch (error) {
      setFault({
        figure: null,
        words: common.notKept((error as Error).message),
      });
    }
  };
  const next = (at: number) => {
    const following = columns[at + 1];
    if (following) fields.current[following]?.focus();
    else void keep();
  };
  return (
    <View className="gap-2" testID="typed-row">
      {columns.map((figure, at) => (
        <FigureField
          key={figure}
          figure={figure}
          value={numbers[figure] ?? ''}
          way={ways[figure] ?? 'plus'}
          faulty={fault?.figure === figure}
          field={(input) => {
            fields.current[figure] = input;
          }}
          onChange={(text) => setNumbers({ ...numbers, [figure]: text })}
          onWay={(way) => setWays({ ...ways, [figure]: way })}
          onNext={() => next(at)}
        />
      ))}
      <Choice
        label={messages.strike}
        options={STRIKES.map((value) => ({ value, words: value }))}
        value={strike}
        onChange={(value) => setStrike(value === strike ? null : value)}
      />
      {fault && (
        <Body role="alert" tone="rust">
          {`▲ ${fault.words}`}
        </Body>
      )}
      <Button words={words} disabled={shot !== null && !enough(shot)} onPress={() => void keep()} />
      <View className="flex-row">
        <Button
          look="quiet"
          words={choosing ? common.less : messages.chooseTheColumns}
          onPress={() => setChoosing(!choosing)}
        />
      </View>
      {choosing && <Columns chosen={columns} />}
    </View>
  );
}
