import type { ExceptionEntry, Logged } from '@pedastance/contract';
import type { Judgement, Parting } from '@pedastance/core/advice';
import { bandsFor, exceptionRange, questionOf, type AgreedFigure } from '@pedastance/core/method';
import { measureAgainOn, stillGrows } from '@pedastance/core/body';
import { agreedWords, bandWords, exceptionWords, ownBandWords } from '@pedastance/core/phrases';
import { FIGURES, type Item } from '@pedastance/core/setup';
import { SHOULDER_GOALS } from '@pedastance/core/turn';
import { angleFigure } from '@pedastance/core/units';
import { Link } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { nameOf } from '@pedastance/contract/agreed';
import type { LessonDraft } from '../../domain/lessonDraft';
import { day, dayOf } from '../../domain/students';
import { changeDraft, lesson } from '../../state/lesson';
import { useSpeech } from '../../state/useSpeech';
import { keepException } from '../../state/writes/exception';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Body, Quiet } from '../../ui/Words';
import { useLessonContext } from './context';
import { common } from '../../domain/common.messages';
import { messages } from './Exceptions.messages';

/** The tested bands of the lesson's student that hold with its club. */
export const useExceptions = (): readonly Logged<ExceptionEntry>[] => useLessonContext().own.exceptions;

/** The band that a student is given: as wide as the method's, about what this body needs, within what can be asked. */
function bandAbout({ item, low, high, needs }: Parting): { low: number; high: number } {
  const { least, most } = FIGURES[item].asked!;
  const half = (high - low) / 2;
  return { low: Math.max(least, Math.round(needs - half)), high: Math.min(most, Math.round(needs + half)) };
}

/** Runs a write, and tells where it could not be kept. */
function useKeeping() {
  const [fault, setFault] = useState('');
  const told = fault !== '' && (
    <Notice kind="trouble" live>
      {fault}
    </Notice>
  );
  const keep = (write: Promise<void>) =>
    void write.then(
      () => setFault(''),
      (error: Error) => setFault(common.notKept(error.message)),
    );
  return { told, keep };
}

/** So far the shoulders get on these feet: what is needed of the hips, less what is missing of it. */
function shorterTurn({ back }: Judgement, shoulders: number): number | null {
  if (!back || back.from >= back.needed) return null;
  const { least, step } = SHOULDER_GOALS;
  const reached = Math.floor((shoulders - (back.needed - back.from)) / step) * step;
  return reached >= least ? reached : null;
}

/** Where body and method part: the student's own band, another method, or a shorter turn. */
export function PartingChoices({ judgement }: { judgement: Judgement }) {
  const { student, method } = useLessonContext();
  const speech = useSpeech(student.hand);
  const draft = useStore(lesson, (state) => state.draft);
  const { told, keep } = useKeeping();
  const { partings } = judgement;
  if (!draft?.club || partings.length === 0) return null;
  const shorter = shorterTurn(judgement, draft.shoulderGoal);
  const own = (parting: Parting, club: ExceptionEntry['club']) =>
    keep(
      keepException(
        { item: parting.item, ...bandAbout(parting), club, ended: false, replaces: null },
        { draft, student },
      ),
    );
  return (
    <View className="gap-2" testID="parting-choices">
      {partings.map((parting) => {
        const words = ownBandWords({ ...parting, ...bandAbout(parting) }, speech);
        return (
          <View key={parting.item} className="gap-1">
            <Body>{messages.agreeWithThisStudent(words)}</Body>
            <View className="flex-row flex-wrap gap-2">
              <Button
                look="plain"
                words={messages.thisClub}
                label={messages.forThisClub(words)}
                onPress={() => own(parting, draft.club)}
              />
              <Button
                look="plain"
                words={messages.allClubs}
                label={messages.forAllClubs(words)}
                onPress={() => own(parting, null)}
              />
            </View>
          </View>
        );
      })}
      <View className="flex-row flex-wrap items-center gap-2">
        {shorter !== null && (
          <Button
            look="quiet"
            words={messages.turnTheShouldersInstead(angleFigure(shorter))}
            onPress={() => changeDraft({ shoulderGoal: shorter })}
          />
        )}
        <Link href={`/methods/${method.id}/edit`} className="min-h-[48px] px-2 py-3">
          <Body tone="lagoon" className="font-semibold underline">
            {messages.changeTheMethod}
          </Body>
        </Link>
      </View>
      {told}
    </View>
  );
}

/** A figure that was agreed with this club, as a band of the student's own that is ended. */
function bandOver({ item, to }: AgreedFigure): Pick<ExceptionEntry, 'item' | 'low' | 'high'> {
  const name = nameOf(item);
  const { least, most } = exceptionRange(name);
  const at = Math.min(most, Math.max(least, to));
  return { item: name, low: at, high: at };
}

/** What was agreed with this club and is the student's own since, with the method's band beside it and a way to let it go. */
function AgreedBands({ draft }: { draft: LessonDraft }) {
  const { student, own, build, legs, method } = useLessonContext();
  const speech = useSpeech(student.hand);
  const { told, keep } = useKeeping();
  const { club, shot, clubLengthInches } = draft;
  if (!club || own.agreed.length === 0) return null;
  const { figures } = bandsFor(method, { build: build.figures, legs }, { club, shot, clubLengthInches });
  return (
    <View className="gap-1" testID="agreed-bands">
      {own.agreed.map((each) => {
        const words = agreedWords(each, speech);
        const taught = each.item === 'leadHeelLift' ? undefined : figures[questionOf(each.item)];
        const beside = taught ? bandWords(questionOf(each.item as Item), taught, speech.length) : null;
        return (
          <View key={each.item} className="flex-row flex-wrap items-center justify-between gap-2">
            <Quiet tone="ink" className="flex-1">
              {messages.agreedWith(words, day(each.agreedAt), beside)}
            </Quiet>
            <Button
              look="quiet"
              words={messages.letItGo}
              label={messages.letGoOf(words)}
              onPress={() =>
                keep(
                  keepException({ ...bandOver(each), club, ended: true, replaces: null }, { draft, student }),
                )
              }
            />
          </View>
        );
      })}
      {told}
    </View>
  );
}

/** The student's own bands that this judgement goes by, each with its day and a way to end it. */
export function OwnBands() {
  const draft = useStore(lesson, (state) => state.draft);
  return (
    <>
      {draft && <AgreedBands draft={draft} />}
      <TestedBands />
    </>
  );
}

/** Bands that were tested or given, each with its day. */
function TestedBands() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const draft = useStore(lesson, (state) => state.draft);
  const exceptions = useExceptions();
  const { told, keep } = useKeeping();
  if (!draft || exceptions.length === 0) return null;
  const today = dayOf(new Date());
  const grows = stillGrows(student, today);
  return (
    <View className="gap-1" testID="own-bands">
      {exceptions.map(({ id, item, low, high, club, madeAt }) => (
        <View key={id} className="flex-row flex-wrap items-center justify-between gap-2">
          <Quiet tone="ink">
            {messages.agreed(
              exceptionWords({ item, low, high }, speech),
              day(madeAt),
              club === null ? 'all clubs' : 'this club',
            )}
            {grows && today >= measureAgainOn(madeAt.slice(0, 10)) ? ` ${messages.findAgain}` : ''}
          </Quiet>
          <Button
            look="quiet"
            words={messages.endIt}
            label={messages.endBand(ownBandWords({ item, low, high }, speech))}
            onPress={() =>
              keep(keepException({ item, low, high, club, ended: true, replaces: id }, { draft, student }))
            }
          />
        </View>
      ))}
      {told}
    </View>
  );
}
