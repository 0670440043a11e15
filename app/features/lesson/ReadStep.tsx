import type { Speech } from '@pedastance/core/phrases';
import type { Finding } from '@pedastance/core/reading';
import { withFigure, type Setup } from '@pedastance/core/setup';
import { Link } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { changeDraft, lesson, openStep } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Choice } from '../../ui/Choice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { ChoiceCard, FindingCard } from '../../cards/FindingCard';
import { noticeWords } from '../../domain/notices';
import { tellChange } from '../../domain/sentences';
import { useHouseMethods } from '../../state/useHouseMethods';
import { useLessonContext } from './context';
import { NeedsClub } from './NeedsClub';
import { useReading } from './useReading';
import { WorkPlace } from './WorkPlace';
import { useSpeech } from '../../state/useSpeech';
import { Cautions } from '../../cards/StudentFacts';
import { NotMeasured } from './NotMeasured';

const adviceFor = (setup: Setup, finding: Finding, speech: Speech): string[] =>
  finding.verdict === 'in' ? [] : tellChange(setup, withFigure(setup, finding.item, finding.middle), speech);

/** The findings that come from one, straight or through another. */
function effectsOf(cause: Finding, findings: readonly Finding[]): Finding[] {
  const direct = findings.filter((finding) => finding.because?.item === cause.item);
  return direct.flatMap((effect) => [effect, ...effectsOf(effect, findings)]);
}

function headingFor(findings: readonly Finding[], forward: number): string {
  if (findings.length === 0) return 'Nothing is measured yet';
  if (forward > 0) return forward === 1 ? 'One thing to look at' : 'Two things to look at';
  return findings.every((finding) => finding.verdict === 'in')
    ? 'Everything is in its band'
    : 'Nothing to suggest: what is out is left alone';
}

/** Which house method reads this lesson, and the way to set it beside others. */
function ReadWith() {
  const { student, method } = useLessonContext();
  const methods = useHouseMethods();
  const lessonId = useStore(lesson, (state) => state.draft?.id);
  return (
    <View className="gap-2 pt-2">
      <Choice
        label="Read with"
        options={methods.map(({ id, name }) => ({ value: id, words: name }))}
        value={method.id}
        onChange={(methodId) => changeDraft({ methodId, taken: [] })}
      />
      <Link href={`/students/${student.id}/compare?lesson=${lessonId}`} className="min-h-[48px] py-3">
        <Body tone="lagoon" className="font-semibold underline">
          Set methods side by side on these feet
        </Body>
      </Link>
    </View>
  );
}

function Findings() {
  const { student, method } = useLessonContext();
  const speech = useSpeech(student.hand);
  const read = useReading();
  const [all, setAll] = useState(false);
  if (!read) return null;
  const { setup, reading } = read;
  const { findings } = reading;
  const forward = findings.filter((finding) => finding.putForward);
  const told = new Set(forward.flatMap((finding) => effectsOf(finding, findings)));
  const rest = findings.filter((finding) => !finding.putForward && !told.has(finding));
  const restOut = rest.filter((finding) => finding.verdict !== 'in').length;
  return (
    <>
      <NotMeasured />
      <Heading>{headingFor(findings, forward.length)}</Heading>
      {forward.map((finding) => (
        <FindingCard
          key={finding.item}
          finding={finding}
          speech={speech}
          advice={adviceFor(setup, finding, speech)}
          effects={effectsOf(finding, findings)}
          openAtFirst
        />
      ))}
      {reading.notices.map((notice) => (
        <Notice key={notice.kind} kind="caution">
          {noticeWords(notice, speech)}
        </Notice>
      ))}
      <Cautions student={student} />
      {forward.length > 0 && (
        <View className="flex-row">
          <Button
            look="quiet"
            words={
              all
                ? 'Fold the rest away'
                : `The rest (${rest.length}${restOut > 0 ? `, ${restOut} out of band` : ', all in band'})`
            }
            onPress={() => setAll(!all)}
          />
        </View>
      )}
      {(all || forward.length === 0) &&
        rest.map((finding) => (
          <FindingCard
            key={finding.item}
            finding={finding}
            speech={speech}
            advice={adviceFor(setup, finding, speech)}
          />
        ))}
      {reading.choices.map((choice) => (
        <ChoiceCard key={choice.question} choice={choice} speech={speech} />
      ))}
      <ReadWith />
      <Quiet>{`Read with “${method.name}”, version ${method.version}. Every ± is one standard deviation.`}</Quiet>
    </>
  );
}

export function ReadStep() {
  return (
    <NeedsClub>
      <WorkPlace
        label="What was read"
        withPlan={false}
        desk={
          <View className="border-t border-grid p-3">
            <Button words="On to the change" onPress={() => openStep('change')} />
          </View>
        }
      >
        <Findings />
      </WorkPlace>
    </NeedsClub>
  );
}
