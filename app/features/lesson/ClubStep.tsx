import { BAG, canPitch, checkedClubLength, type ClubId, type ShotType } from '@pedastance/core/club';
import { InputError } from '@pedastance/core/units';
import { useState } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { useStore } from 'zustand';
import { chooseClub, lesson, openStep, setClubLength, type LastFeet } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Quiet } from '../../ui/Words';
import { feetOf, useLastRecord } from '../../state/useLastRecord';
import { useLessonContext } from './context';
import { typedNumber } from '../../domain/typedNumber';

function LengthField({ lengthInches }: { lengthInches: number }) {
  const [text, setText] = useState(String(lengthInches));
  const [fault, setFault] = useState<string>();
  const typed = (next: string) => {
    setText(next);
    try {
      setClubLength(checkedClubLength(typedNumber(next)));
      setFault(undefined);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setFault(
        `Club length: expected ${error.expected}, found ${next.trim() === '' ? 'nothing' : `“${next}”`}`,
      );
    }
  };
  return (
    <Field
      label="Club length"
      unit="in"
      value={text}
      onChangeText={typed}
      inputMode="decimal"
      help="A usual length to begin with (common practice, no source); the width band goes by it."
      fault={fault}
    />
  );
}

export function ClubStep() {
  const { student, build } = useLessonContext();
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const lengthInches = useStore(lesson, (state) => state.draft?.clubLengthInches ?? 0);
  const lastRecord = useLastRecord(student.id, build);
  const lastFeet: LastFeet = (of, played) => feetOf(lastRecord(of, played));
  const choose = (nextClub: ClubId, nextShot: ShotType) =>
    chooseClub(nextClub, nextShot, build.figures, lastFeet);
  return (
    <View className="flex-1">
      <ScrollView
        className="flex-1"
        contentContainerClassName="gap-5 p-4"
        tabIndex={0}
        aria-label="Club and shot"
      >
        <View className="gap-1">
          <Quiet>Club</Quiet>
          <View role="radiogroup" aria-label="Club" className="flex-row flex-wrap gap-2">
            {BAG.map((each) => (
              <Pressable
                key={each.id}
                role="radio"
                aria-checked={each.id === club}
                onPress={() => choose(each.id, shot)}
                className={`min-h-[52px] min-w-[104px] flex-1 items-center justify-center rounded-md border px-2 ${each.id === club ? 'border-ink bg-ink' : 'border-ink bg-sheet'}`}
              >
                <Text
                  className={`text-center font-text text-base ${each.id === club ? 'font-semibold text-paper' : 'text-ink'}`}
                >
                  {each.name}
                </Text>
              </Pressable>
            ))}
          </View>
        </View>
        {club && (
          <>
            <View className="gap-1">
              <Choice
                label="Shot"
                options={[
                  { value: 'full', words: 'Full swing' },
                  { value: 'pitch', words: 'Pitch', disabled: !canPitch(club) },
                ]}
                value={shot}
                onChange={(next) => choose(club, next)}
              />
              {!canPitch(club) && <Quiet>A pitch is played with an iron or a wedge.</Quiet>}
            </View>
            <LengthField key={club} lengthInches={lengthInches} />
          </>
        )}
      </ScrollView>
      <View className="border-t border-grid p-3">
        <Button
          words={club ? 'Place the feet' : 'Choose a club first'}
          disabled={!club}
          onPress={() => openStep('feet')}
        />
      </View>
    </View>
  );
}
