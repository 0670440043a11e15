import { STRIPE_MARKS, stripesTell, type StripeMark, type Stripes } from '@pedastance/core/balance';
import type { ClubId } from '@pedastance/core/club';
import type { FootName } from '@pedastance/core/setup';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'zustand';
import { taughtRoute } from '../../../domain/pressure';
import { spoken } from '../../../domain/sentences';
import { noteTry } from '../../../state/ladder';
import { lesson } from '../../../state/lesson';
import { useSpeech } from '../../../state/useSpeech';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/Choice';
import { pickFile } from '../../../ui/files';
import { Notice } from '../../../ui/Notice';
import { Quiet } from '../../../ui/Words';
import { useLessonContext } from '../context';
import { messages } from './FieldTests.messages';
import { TestFrame, useTries } from './TestFrame';

const words = messages.stripe;
/** A phone's video has so many frames a second, or more. */
const FRAME_SECONDS = 1 / 30;
/** A video that does not say how long it is, is looked through so far, seconds. */
const UNKNOWN_SECONDS = 30;

const NOT_LOOKED: Record<FootName, boolean | null> = { lead: null, trail: null };
const UNTOUCHED: Stripes = {
  address: NOT_LOOKED,
  top: NOT_LOOKED,
  'early down': NOT_LOOKED,
  impact: NOT_LOOKED,
};
const isUntouched = (stripes: Stripes): boolean =>
  STRIPE_MARKS.every((mark) => stripes[mark].lead === null && stripes[mark].trail === null);

/** A video that is stepped frame by frame; it is read from the device and goes nowhere. */
function Stepped() {
  const video = useRef<HTMLVideoElement>(null);
  const [address, setAddress] = useState<string | null>(null);
  const [bad, setBad] = useState(false);
  const [at, setAt] = useState(0);
  const [length, setLength] = useState(0);
  useEffect(() => () => (address ? URL.revokeObjectURL(address) : undefined), [address]);
  const pick = async () => {
    const file = await pickFile('video/*');
    if (!file) return;
    setBad(false);
    setAt(0);
    setAddress(URL.createObjectURL(file));
  };
  const go = (seconds: number) => {
    const within = Math.min(length, Math.max(0, seconds));
    setAt(within);
    if (video.current) video.current.currentTime = within;
  };
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        <Button look="plain" words={address ? words.other : words.pick} onPress={() => void pick()} />
        {address && !bad && (
          <>
            <Button look="plain" words="−" label={words.back} onPress={() => go(at - FRAME_SECONDS)} />
            <Button look="plain" words="+" label={words.on} onPress={() => go(at + FRAME_SECONDS)} />
          </>
        )}
      </View>
      {bad && <Notice kind="trouble">{words.notPlayed}</Notice>}
      {address && !bad && (
        <>
          <video
            ref={video}
            src={address}
            muted
            playsInline
            preload="auto"
            data-testid="stripe-video"
            style={{ width: '100%', maxHeight: 260, background: 'black' }}
            onLoadedMetadata={({ currentTarget: { duration } }) =>
              setLength(Number.isFinite(duration) ? duration : UNKNOWN_SECONDS)
            }
            onError={() => setBad(true)}
          />
          <input
            type="range"
            aria-label={words.place}
            min={0}
            max={length}
            step={FRAME_SECONDS}
            value={at}
            onChange={(event) => go(Number(event.currentTarget.value))}
            style={{ width: '100%', height: 48 }}
          />
        </>
      )}
    </View>
  );
}

const FEET = ['lead', 'trail'] as const;

/** The stripes of one swing, moment by moment. */
function Looked({ onNote }: { onNote: (stripes: Stripes) => void }) {
  const { student } = useLessonContext();
  const speech = useSpeech(student.hand);
  const [stripes, setStripes] = useState(UNTOUCHED);
  const [mark, setMark] = useState<StripeMark>('address');
  const [fault, setFault] = useState(false);
  const note = () => {
    setFault(isUntouched(stripes));
    if (isUntouched(stripes)) return;
    onNote(stripes);
    setStripes(UNTOUCHED);
    setMark('address');
  };
  return (
    <View className="gap-2">
      <Choice
        label={words.moment}
        options={STRIPE_MARKS.map((value) => ({ value, words: words.moments[value] }))}
        value={mark}
        onChange={setMark}
      />
      {FEET.map((foot) => (
        <Choice
          key={foot}
          label={spoken(words[foot], speech)}
          options={[
            { value: 'seen', words: words.seen },
            { value: 'gone', words: words.gone },
          ]}
          value={stripes[mark][foot] === null ? null : stripes[mark][foot] ? 'seen' : 'gone'}
          onChange={(value) =>
            setStripes({ ...stripes, [mark]: { ...stripes[mark], [foot]: value === 'seen' } })
          }
        />
      ))}
      <Button words={words.note} onPress={note} />
      {fault && <Notice kind="caution">{words.nothing}</Notice>}
    </View>
  );
}

/** A stripe on the edges of the soles, looked at in a video: seen or gone, a swing at a time. */
export function StripeRunner({ club }: { club: ClubId }) {
  const { method } = useLessonContext();
  const shot = useStore(lesson, (state) => state.draft?.shot ?? 'full');
  const tries = useTries('stripe');
  const [first] = stripesTell(tries, taughtRoute(method, club, shot));
  return (
    <TestFrame
      test="stripe"
      purpose={words.purpose}
      how={words.how}
      more={first && <Quiet>{first.sure ? words.sure : words.less}</Quiet>}
      contents={{ test: 'stripe', club, tries: [...tries] }}
    >
      <Stepped />
      <Looked key={tries.length} onNote={(stripes) => noteTry('stripe', stripes)} />
    </TestFrame>
  );
}
