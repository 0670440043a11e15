import { withItem, type Finding, type Setup, type Speech } from '@pedastance/core';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { lesson, openStep } from '../../state/lesson';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Heading, Quiet } from '../../ui/Words';
import { FindingCard } from '../log/FindingCard';
import { noticeWords } from '../log/notices';
import { tellChange, useSpeech } from '../log/sentences';
import { Cautions } from '../log/StudentScreen';
import { useLessonContext } from './context';
import { NeedsClub } from './NeedsClub';
import { useReading } from './useReading';
import { WorkPlace } from './WorkPlace';

const adviceFor = (setup: Setup, finding: Finding, speech: Speech): string[] =>
  finding.verdict === 'in' ? [] : tellChange(setup, withItem(setup, finding.item, finding.middle), speech);

export function NotPlaced() {
  const feetPlaced = useStore(lesson, (state) => state.draft?.feetPlaced);
  const balanceNoted = useStore(lesson, (state) => state.draft?.balanceNoted);
  if (feetPlaced && balanceNoted) return null;
  const missing = [
    !feetPlaced && 'the feet have not been placed',
    !balanceNoted && 'the balance has not been noted',
  ].filter(Boolean);
  return <Notice kind="caution">{`This reads the starting figures: ${missing.join(' and ')} yet.`}</Notice>;
}

function Findings() {
  const { student, method } = useLessonContext();
  const speech = useSpeech(student.hand);
  const read = useReading();
  const [all, setAll] = useState(false);
  if (!read) return null;
  const { setup, reading } = read;
  const forward = reading.findings.filter((finding) => finding.putForward);
  const rest = reading.findings.filter((finding) => !finding.putForward);
  const restOut = rest.filter((finding) => finding.verdict !== 'in').length;
  return (
    <>
      <NotPlaced />
      <Heading>
        {forward.length === 0
          ? 'Everything is in its band'
          : forward.length === 1
            ? 'One thing to look at'
            : 'Two things to look at'}
      </Heading>
      {forward.map((finding) => (
        <FindingCard
          key={finding.item}
          finding={finding}
          speech={speech}
          advice={adviceFor(setup, finding, speech)}
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
