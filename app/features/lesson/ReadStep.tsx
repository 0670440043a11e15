import { HELD_SHAPES, putRightSentence, type Speech } from '@pedastance/core/phrases';
import { putRightSince, type Finding } from '@pedastance/core/reading';
import type { Setup } from '@pedastance/core/setup';
import { Link } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Working } from '../../cards/Working';
import { useStore } from 'zustand';
import { changeDraft, lesson, openStep } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Choice } from '../../ui/Choice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { ChoiceCard, FindingCard } from '../../cards/FindingCard';
import { JudgementCard } from '../../cards/JudgementCard';
import { HeldLines } from '../../cards/HeldLines';
import { heldToday, standingFigures } from '@pedastance/contract/agreements';
import { ofShot, recordsOf, type LogRecord } from '@pedastance/contract/records';
import { useRecords } from '../../state/records';
import { ownWidest } from '@pedastance/core/method';
import { measuredOf } from '../../domain/measured';
import { noticeWords } from '../../domain/notices';
import { shortDay } from '../../domain/students';
import { useLastRecord } from '../../state/useLastRecord';
import { useHouseMethods } from '../../state/useHouseMethods';
import { useLessonContext } from './context';
import { OwnBands, PartingChoices, useExceptions } from './Exceptions';
import { LastPressure } from './pressure/LastPressure';
import { NeedsClub } from './NeedsClub';
import { useJudgementNow } from './useJudgement';
import { useReading } from './useReading';
import { WorkPlace } from './WorkPlace';
import { useSpeech } from '../../state/useSpeech';
import { Cautions } from '../../cards/StudentFacts';
import { NotMeasured } from './NotMeasured';
import { messages } from './ReadStep.messages';

/** The findings that come from one, straight or through another. */
function effectsOf(cause: Finding, findings: readonly Finding[]): Finding[] {
  const direct = findings.filter((finding) => finding.because?.item === cause.item);
  return direct.flatMap((effect) => [effect, ...effectsOf(effect, findings)]);
}

/** The bands are evidence: how many are out, and never that all is well while a goal is short. */
function bandsHeading(findings: readonly Finding[]): string {
  const out = findings.filter(({ verdict }) => verdict !== 'in').length;
  if (findings.length === 0) return messages.nothingIsMeasuredYet;
  return out === 0 ? messages.heldAgainstTheMethodAll : messages.heldAgainstTheMethodOut(out);
}

/** Which house method reads this lesson, and the way to set it beside others. */
function ReadWith() {
  const { student, method } = useLessonContext();
  const methods = useHouseMethods();
  const lessonId = useStore(lesson, (state) => state.draft?.id);
  return (
    <View className="gap-2 pt-2">
      <Choice
        label={messages.readWith}
        options={methods.map(({ id, name }) => ({ value: id, words: name }))}
        value={method.id}
        onChange={(methodId) => changeDraft({ methodId })}
      />
      <Link href={`/students/${student.id}/compare?lesson=${lessonId}`} className="min-h-[48px] py-3">
        <Body tone="lagoon" className="font-semibold underline">
          {messages.setMethodsSideBySide}
        </Body>
      </Link>
    </View>
  );
}

/** Each figure against its band: those that are out first, heaviest first, and the rest behind one tap. */
function Bands({ findings }: { findings: readonly Finding[] }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const [all, setAll] = useState(false);
  const forward = findings.filter((finding) => finding.putForward);
  const told = new Set(forward.flatMap((finding) => effectsOf(finding, findings)));
  const others = findings.filter((finding) => !finding.putForward && !told.has(finding));
  const out = others.filter(({ verdict }) => verdict !== 'in');
  const rest = others.filter(({ verdict }) => verdict === 'in');
  return (
    <>
      <Heading>{bandsHeading(findings)}</Heading>
      {[...forward, ...out].map((finding) => (
        <FindingCard
          key={finding.item}
          finding={finding}
          speech={speech}
          effects={effectsOf(finding, findings)}
        />
      ))}
      {rest.length > 0 && (
        <View className="flex-row">
          <Button
            look="quiet"
            words={all ? messages.foldThemAway : messages.inBand(rest.length)}
            onPress={() => setAll(!all)}
          />
        </View>
      )}
      {all && rest.map((finding) => <FindingCard key={finding.item} finding={finding} speech={speech} />)}
    </>
  );
}

/** The newest agreement first. */
const byDay = (a: LogRecord, b: LogRecord): number => b.reading.madeAt.localeCompare(a.reading.madeAt);

/** What stands agreed with this club against today's feet, and what was out at the last look and is put right. */
function SinceLast({
  setup,
  findings,
  speech,
}: {
  setup: Setup;
  findings: readonly Finding[];
  speech: Speech;
}) {
  const { student, build, own } = useLessonContext();
  const lessonId = useStore(lesson, (state) => state.draft?.id ?? null);
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const last = useLastRecord(student.id, build);
  const entries = useRecords((state) => state.entries);
  const standing = useMemo(() => {
    if (!club) return [];
    const records = recordsOf(Object.values(entries), student.id);
    return standingFigures(ofShot(records, { club, shot }), own.agreed);
  }, [entries, student.id, club, shot, own.agreed]);
  const look = useMemo(
    () => club && last(club, shot, ({ reading }) => reading.lessonId !== lessonId),
    [last, club, shot, lessonId],
  );
  const days = useMemo(() => [...new Set(standing.map(({ record }) => record))].sort(byDay), [standing]);
  const agreed = own.agreed.flatMap(({ item }) => (item === 'leadHeelLift' ? [] : [item]));
  const mended = look ? putRightSince(look.reading.findings, findings, agreed) : [];
  return (
    <>
      {days.length > 0 && (
        <View testID="since-agreed">
          {days.map((day) => (
            <View key={day.reading.id}>
              <Quiet>{messages.since(shortDay(day.agreed!.madeAt))}</Quiet>
              <HeldLines
                held={heldToday(
                  standing.filter(({ record }) => record === day),
                  setup,
                )}
                speech={speech}
              />
            </View>
          ))}
        </View>
      )}
      {look && mended.length > 0 && (
        <View testID="put-right">
          <Quiet>{messages.since(shortDay(look.reading.madeAt))}</Quiet>
          {mended.map((each) => (
            <Body key={each.item} tone="moss" className="figures font-semibold">
              {`${HELD_SHAPES.held} ${putRightSentence(each, speech)}`}
            </Body>
          ))}
        </View>
      )}
    </>
  );
}

function Findings() {
  const { student, method } = useLessonContext();
  const speech = useSpeech(student.hand);
  const read = useReading();
  const now = useJudgementNow();
  const { judgement } = now;
  const widest = ownWidest(useExceptions());
  const club = useStore(lesson, (state) => state.draft?.club ?? null);
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  if (!read) return null;
  const { setup, reading } = read;
  // As wide as this student was found to post at stands in place of what hips of their breadth usually can.
  const posts = widest !== null && measuredOf(setup).measures.stanceWidth <= widest;
  const notices = reading.notices.filter(({ kind }) => kind !== 'too wide to post' || !posts);
  return (
    <>
      <SinceLast setup={setup} findings={reading.findings} speech={speech} />
      {judgement ? (
        <>
          <JudgementCard judgement={judgement} shoeLength={setup.address.shoe.length} speech={speech} />
          <PartingChoices judgement={judgement} />
        </>
      ) : (
        <Working of={now} />
      )}
      <OwnBands />
      {club && <LastPressure club={club} shot={shot} />}
      <NotMeasured />
      {notices.map((notice) => (
        <Notice key={notice.kind} kind="caution">
          {noticeWords(notice, speech)}
        </Notice>
      ))}
      <Cautions student={student} />
      <Bands findings={reading.findings} />
      {reading.choices.map((choice) => (
        <ChoiceCard key={choice.question} choice={choice} speech={speech} />
      ))}
      <ReadWith />
      <Quiet>{messages.readWithVersionEvery(method.name, method.version)}</Quiet>
    </>
  );
}

export function ReadStep() {
  return (
    <NeedsClub>
      <WorkPlace
        label={messages.whatWasRead}
        plan="strip"
        desk={
          <View className="border-t border-grid p-3">
            <Button
              words={messages.change}
              label={messages.onToTheChange}
              onPress={() => openStep('change')}
            />
          </View>
        }
      >
        <Findings />
      </WorkPlace>
    </NeedsClub>
  );
}
