import { clubAndShot } from '@pedastance/core/club';
import type { Intake } from '@pedastance/core/body';
import { stopsSentence, type Speech } from '@pedastance/core/phrases';
import { differences } from '@pedastance/core/setup';
import { lengthWithUnit } from '@pedastance/core/units';
import { Link } from 'expo-router';
import { View } from 'react-native';
import { Body, FigureWords, Heading, Quiet } from '../../ui/Words';
import { day } from '../../domain/students';
import { intakeWords } from '../../domain/intake';
import { Outgrown } from '../../cards/Outgrown';
import { common } from '../../domain/common.messages';
import { hadThingsToDo, landed, type LogRecord } from '@pedastance/contract/records';
import { changeFigure, figureName, findingBand, findingFigure, spoken } from '../../domain/sentences';
import { VERDICT_SHAPES, verdictWords } from '../../domain/verdicts';
import { messages } from './LogCard.messages';

function Found({ record, speech }: { record: LogRecord; speech: Speech }) {
  const { findings, judgement } = record.reading;
  const out = findings.filter((finding) => finding.verdict !== 'in');
  const stops = judgement && stopsSentence(judgement, speech);
  if (out.length === 0 && !stops) return <Body>{messages.everythingInItsBand}</Body>;
  return (
    <View className="gap-0.5">
      {stops && <Body>{stops}</Body>}
      {out.map((finding) => (
        <Body key={finding.item} className="figures">
          {`${VERDICT_SHAPES[finding.verdict]} ${figureName(finding.item, speech)} ${findingFigure(finding, finding.measured, speech)}, ${verdictWords(finding.question, finding.verdict)} ${findingBand(finding, speech)}`}
        </Body>
      ))}
    </View>
  );
}

function Changed({ record, speech }: { record: LogRecord; speech: Speech }) {
  if (!record.change || !record.agreed) return null;
  const before = record.reading.judgement?.rests?.agreed.find(({ item }) => item === 'leadHeelLift');
  const liftBefore = before?.to ?? 0;
  return (
    <View className="gap-1 border-l-4 border-lagoon pl-3">
      {differences(record.address.setup, record.agreed.setup).map((each) => (
        <View key={each.change} className="flex-row flex-wrap items-baseline justify-between gap-x-3">
          <Body>{figureName(each.change, speech)}</Body>
          <FigureWords className="text-base">{`${each.from === null ? 'not looked at' : changeFigure(each, each.from, speech)} → ${changeFigure(each, each.to, speech)}`}</FigureWords>
        </View>
      ))}
      {record.change.leadHeelLift !== liftBefore && (
        <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
          <Body>{spoken(messages.leadHeelUpGoingBack, speech)}</Body>
          <FigureWords className="text-base">{`${liftBefore > 0 ? lengthWithUnit(liftBefore, speech.length) : '0'} → ${lengthWithUnit(record.change.leadHeelLift, speech.length)}`}</FigureWords>
        </View>
      )}
      <Body>{record.change.reason}</Body>
      {record.change.feel !== '' && <Body>{messages.feel(record.change.feel)}</Body>}
    </View>
  );
}

/** One record of the log: what was found, what was changed, from what to what. Opens on the plan. */
export function LogCard({
  record,
  intake,
  speech,
}: {
  record: LogRecord;
  /** What the student came for in that lesson; null where nobody noted it. */
  intake: Intake | null;
  speech: Speech;
}) {
  const { address, reading } = record;
  const seen = address.setup.posture?.tellTales ?? [];
  return (
    <View testID="log-card" className="gap-2 border-b border-grid py-4">
      <View className="flex-row items-baseline justify-between gap-2">
        <Heading>{clubAndShot(address.club, address.shot)}</Heading>
        <Quiet>{landed(record) ? day(reading.madeAt) : messages.notSentYet(day(reading.madeAt))}</Quiet>
      </View>
      {intake && <Body>{intakeWords(intake)}</Body>}
      {seen.length > 0 && <Quiet tone="ink">{messages.seenInTheSwing(seen.join('; '))}</Quiet>}
      <Found record={record} speech={speech} />
      <Changed record={record} speech={speech} />
      {!record.change && (
        <Body>{hadThingsToDo(record) ? common.nothingAgreed : common.checkedNothingToChange}</Body>
      )}
      {reading.note !== '' && <Body>{messages.note(reading.note)}</Body>}
      <Outgrown record={record} />
      <Link href={`/students/${address.studentId}/log/${reading.id}`} className="min-h-[48px] py-3">
        <Body tone="lagoon" className="font-semibold underline">
          {record.change ? messages.bothAddressesOnThePlan : messages.thisAddressOnThePlan}
        </Body>
      </Link>
    </View>
  );
}
