import { withSuggestions } from '@pedastance/core/method';
import type { Speech } from '@pedastance/core/phrases';
import type { Finding } from '@pedastance/core/reading';
import { withFigure, type Setup, type Item } from '@pedastance/core/setup';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { lesson, openStep, replaceAgreed } from '../../state/lesson';
import { prefer } from '../../state/preferences';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Body, Heading, Quiet } from '../../ui/Words';
import { findingFigure, figureName, tellAgreed, tellChange } from '../../domain/sentences';
import { useJudge, useLessonContext } from './context';
import { useLessonPath } from './useLessonPath';
import { Desk } from './Desk';
import { PathPanel } from './PathPanel';
import { FitPanel } from './FitPanel';
import { FeetRows, LoadRows } from './MeasureRows';
import { NeedsClub } from './NeedsClub';
import { TurnPanel } from './TurnPanel';
import { useReading } from './useReading';
import { useSettled } from './useSettled';
import { WorkPlace } from './WorkPlace';
import { useSpeech } from '../../state/useSpeech';
import { useLeadHeelLift } from './turning';
import { verdictWords } from '../../domain/verdicts';
import { NotMeasured } from './NotMeasured';

/** Changes agreed at once, beyond which nobody knows which one helped. */
const MOST_AT_ONCE = 2;

function Suggestion({
  finding,
  taken,
  onPress,
  setup,
  speech,
}: {
  finding: Finding;
  taken: boolean;
  onPress: () => void;
  setup: Setup;
  speech: Speech;
}) {
  const lines = tellChange(setup, withFigure(setup, finding.item, finding.middle), speech);
  return (
    <View className="gap-2 border-l-4 border-lagoon bg-sheet p-3">
      <Body className="font-semibold">{`${figureName(finding.item, speech)}: ${findingFigure(finding, finding.measured, speech)}, ${verdictWords(finding.question, finding.verdict)}`}</Body>
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
      <Button
        look={taken ? 'act' : 'plain'}
        words={taken ? '✓ Taken. Leave it after all' : 'Take this'}
        label={`${taken ? 'Leave' : 'Take'}: ${figureName(finding.item, speech)}`}
        onPress={onPress}
      />
    </View>
  );
}

/** Takes or leaves a suggestion; the others that were taken stay. */
function toggle(
  setup: Setup,
  agreed: Setup | null,
  findings: readonly Finding[],
  taken: readonly Item[],
  item: Item,
): void {
  const next = taken.includes(item) ? taken.filter((each) => each !== item) : [...taken, item];
  const from = taken.includes(item)
    ? withSuggestions(
        setup,
        findings.filter((finding) => next.includes(finding.item)),
      )
    : withSuggestions(
        agreed ?? setup,
        findings.filter((finding) => finding.item === item),
      );
  replaceAgreed(next.length === 0 ? null : from, next);
}

function Spoken({ setup, agreed, speech }: { setup: Setup; agreed: Setup | null; speech: Speech }) {
  const lines = tellAgreed(setup, agreed ?? setup, useLeadHeelLift(), speech);
  return (
    <View className="gap-1" aria-live="polite" testID="instruction">
      <Heading>To say</Heading>
      {lines.length === 0 && (
        <Body>
          Nothing is changed yet. Take a suggestion, or move the shoes to what you want to agree on.
        </Body>
      )}
      {lines.map((line) => (
        <Body key={line} className="text-lg">
          {line}
        </Body>
      ))}
      {lines.length > MOST_AT_ONCE && (
        <Quiet>{`${lines.length} changes at once: nobody will know which one helped. One or two stick.`}</Quiet>
      )}
      <Choice
        label="Say feet as"
        options={[
          { value: 'lead and trail', words: 'Lead, trail' },
          { value: 'left and right', words: 'Left, right' },
        ]}
        value={speech.feet}
        onChange={(feet) => prefer({ feet })}
      />
    </View>
  );
}

function Agreeing() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const judge = useJudge();
  const read = useReading();
  const taken = useStore(lesson, (state) => state.draft?.taken ?? []);
  const loads = useStore(lesson, (state) => state.deskFor === 'load');
  const agreed = useSettled((state) => state.draft?.agreed ?? null);
  const path = useLessonPath();
  const lift = useLeadHeelLift();
  if (!read) return null;
  const { setup, reading } = read;
  const forward = reading.findings.filter((finding) => finding.putForward);
  return (
    <>
      <NotMeasured />
      {forward.map((finding) => (
        <Suggestion
          key={finding.item}
          finding={finding}
          taken={taken.includes(finding.item)}
          setup={setup}
          speech={speech}
          onPress={() => toggle(setup, agreed, forward, taken, finding.item)}
        />
      ))}
      {forward.length === 0 && (
        <Body>
          {reading.findings.length > 0
            ? 'Nothing is put forward: everything is in its band. '
            : 'Nothing is measured yet, so nothing is put forward. '}
          You can still set a change of your own on the plan.
        </Body>
      )}
      <FitPanel setup={setup} speech={speech} />
      <Spoken setup={setup} agreed={agreed} speech={speech} />
      <TurnPanel speech={speech} />
      <PathPanel path={path} speech={speech} />
      {(agreed || lift > 0) && (
        <View className="flex-row">
          <Button look="quiet" words="Back to today’s feet" onPress={() => replaceAgreed(null, [])} />
        </View>
      )}
      <Quiet>Solid: as agreed. Dashed: today. Dotted, with its number: what the fit offers.</Quiet>
      <FeetRows speech={speech} judge={judge} atDesk={!loads} />
      <LoadRows speech={speech} judge={judge} atDesk={loads} />
    </>
  );
}

export function ChangeStep() {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const loads = useStore(lesson, (state) => state.deskFor === 'load');
  return (
    <NeedsClub>
      <WorkPlace
        label="The change"
        desk={
          <Desk loads={loads} speech={speech}>
            <Button look="desk" words="Keep" label="On to keeping it" onPress={() => openStep('keep')} />
          </Desk>
        }
      >
        <Agreeing />
      </WorkPlace>
    </NeedsClub>
  );
}
