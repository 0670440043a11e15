import {
  BAG,
  canPitch,
  checkedClubLength,
  clubAndShot,
  type ClubId,
  type ShotType,
} from '@pedastance/core/club';
import { setupFromClub } from '@pedastance/core/method';
import { InputError } from '@pedastance/core/units';
import { useState } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';
import { useStore } from 'zustand';
import { chooseClub, lesson, openStep, setClubLength, standAsWith, type LastFeet } from '../../state/lesson';
import {
  anyMeasured,
  namesOf,
  otherParts,
  partKey,
  type ClubPart,
  type LessonDraft,
} from '../../domain/lessonDraft';
import { tellChange } from '../../domain/sentences';
import { useSpeech } from '../../state/useSpeech';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Quiet } from '../../ui/Words';
import { feetOf, useLastRecord } from '../../state/useLastRecord';
import { useLessonContext } from './context';
import { typedNumber } from '../../domain/typedNumber';
import { common } from '../../domain/common.messages';
import { messages } from './ClubStep.messages';

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
        messages.clubLengthExpectedFound(error.expected, next.trim() === '' ? 'nothing' : `“${next}”`),
      );
    }
  };
  return (
    <Field
      label={messages.clubLength}
      unit="in"
      value={text}
      onChangeText={typed}
      inputMode="decimal"
      help={messages.aUsualLengthToBegin}
      fault={fault}
    />
  );
}

/** What the method moves between the other club and this one; feet drawn so are still to be measured. */
function AsTaughtFrom({ part, draft }: { part: ClubPart; draft: LessonDraft }) {
  const { student, build, legs, method } = useLessonContext();
  const speech = useSpeech(student.hand);
  const { club, setup } = part;
  if (!setup || !club || !draft.club) return null;
  const to = { club: draft.club, shot: draft.shot, clubLengthInches: draft.clubLengthInches };
  const body = { build: build.figures, legs };
  const moved = setupFromClub(setup, method, body, { from: { ...part, club }, to });
  const lines = tellChange(setup, moved, speech);
  if (lines.length === 0) return null;
  return (
    <>
      <Button
        look="plain"
        words={messages.fromClub(namesOf([part]), clubAndShot(to.club, to.shot))}
        onPress={() => {
          standAsWith({ setup: { ...moved, measured: {} } });
          openStep('feet');
        }}
      />
      {lines.map((line) => (
        <Quiet key={line}>{line}</Quiet>
      ))}
    </>
  );
}

/** What was begun with other clubs of this lesson; feet that nobody measured yet may be the same as theirs. */
function OtherClubs() {
  const draft = useStore(lesson, (state) => state.draft);
  const others = draft ? otherParts(draft) : [];
  if (!draft || others.length === 0) return null;
  const placed = draft.setup !== null && anyMeasured(draft.setup);
  const measured = others.filter(({ setup }) => setup !== null && anyMeasured(setup));
  return (
    <View className="gap-2" testID="other-clubs">
      <Quiet>{messages.begunInThisLesson(namesOf(others))}</Quiet>
      {!placed &&
        measured.map((part) => (
          <View key={partKey(part)} className="gap-1">
            <Button
              look="plain"
              words={messages.sameFeetAsWith(namesOf([part]))}
              onPress={() => {
                standAsWith(part);
                openStep('feet');
              }}
            />
            <AsTaughtFrom part={part} draft={draft} />
          </View>
        ))}
    </View>
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
        aria-label={messages.clubAndShot}
      >
        <View className="gap-1">
          <Quiet>{common.club}</Quiet>
          <View role="radiogroup" aria-label={common.club} className="flex-row flex-wrap gap-2">
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
                label={messages.shot}
                options={[
                  { value: 'full', words: messages.fullSwing },
                  { value: 'pitch', words: messages.pitch, disabled: !canPitch(club) },
                ]}
                value={shot}
                onChange={(next) => choose(club, next)}
              />
              {!canPitch(club) && <Quiet>{messages.aPitchIsPlayed}</Quiet>}
            </View>
            <LengthField key={club} lengthInches={lengthInches} />
          </>
        )}
      </ScrollView>
      <View className="gap-2 border-t border-grid p-3">
        {club && <OtherClubs />}
        <Button
          words={club ? messages.placeTheFeet : messages.chooseAClubFirst}
          disabled={!club}
          onPress={() => openStep('feet')}
        />
      </View>
    </View>
  );
}
