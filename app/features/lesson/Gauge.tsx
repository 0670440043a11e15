import { gaugeAnswer, type GaugeReading, type GaugeState } from '@pedastance/core/body';
import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { Button } from '../../ui/Button';
import { Notice } from '../../ui/Notice';
import { Body, LargeFigure, Quiet } from '../../ui/Words';
import { common } from '../../domain/common.messages';
import { messages } from './Gauge.messages';

/** Readings older than this say nothing any more, but for the one that was zeroed on, ms. */
const KEPT_MS = 8000;
/** How long a phone may be silent before it is taken to have no such sensor, ms. */
const SILENT_MS = 2500;

type Sensor = 'asking' | 'refused' | 'silent' | 'reading';

interface AskingEvent {
  requestPermission?: () => Promise<'granted' | 'denied'>;
}

/** The phone's own turn about the vertical, from the moment it is listened to. */
function useHeadings(zeroedAt: number) {
  const [sensor, setSensor] = useState<Sensor>('asking');
  const [byCompass, setByCompass] = useState(false);
  const readings = useRef<GaugeReading[]>([]);
  const [, show] = useState(0);
  useEffect(() => {
    readings.current = readings.current.slice(-1);
  }, [zeroedAt]);
  useEffect(() => {
    let gone = false;
    let heard = false;
    const listen = (event: DeviceOrientationEvent) => {
      if (event.alpha === null) return;
      heard = true;
      setSensor('reading');
      setByCompass(event.absolute);
      const at = performance.now();
      const [zero, ...since] = readings.current;
      const recent = since.filter((each) => at - each.at < KEPT_MS);
      readings.current = [...(zero ? [zero] : []), ...recent, { heading: event.alpha, at }];
      show(at);
    };
    const start = async () => {
      const { requestPermission } = DeviceOrientationEvent as unknown as AskingEvent;
      const answer = requestPermission ? await requestPermission().catch(() => 'denied' as const) : 'granted';
      if (gone) return;
      if (answer === 'denied') return setSensor('refused');
      addEventListener('deviceorientation', listen);
    };
    if ('DeviceOrientationEvent' in window) void start();
    const silent = setTimeout(
      () => !heard && setSensor((now) => (now === 'asking' ? 'silent' : now)),
      SILENT_MS,
    );
    // A still phone sends nothing new: it is looked at again so that it can be found steady.
    const looking = setInterval(() => {
      const last = readings.current[readings.current.length - 1];
      if (last) listen({ alpha: last.heading, absolute: false } as DeviceOrientationEvent);
    }, 100);
    return () => {
      gone = true;
      clearTimeout(silent);
      clearInterval(looking);
      removeEventListener('deviceorientation', listen);
    };
  }, []);
  return { sensor, byCompass, answer: gaugeAnswer(readings.current) };
}

const STATES: Record<GaugeState, string> = {
  moving: 'turning …',
  steady: '● steady',
  wandering: '▲ wandering by itself: hold it flat, away from metal, and zero again',
};

const NO_SENSOR: Record<'refused' | 'silent', string> = {
  refused: messages.thePhonesMotionSensorWas,
  silent: messages.thisDeviceHasNoMotion,
};

interface GaugeProps {
  label: string;
  onTake: (turn: number) => void;
  onDone: () => void;
}

/** The phone held on shoe, belt or chest as an angle gauge: zero it, turn, take it when it is steady. */
export function Gauge({ label, onTake, onDone }: GaugeProps) {
  const [zeroedAt, setZeroedAt] = useState(0);
  const { sensor, byCompass, answer } = useHeadings(zeroedAt);
  if (sensor === 'refused' || sensor === 'silent') {
    return (
      <Notice kind="caution" live>
        <Body>{NO_SENSOR[sensor]}</Body>
        <Button look="plain" words={messages.closeTheGauge} onPress={onDone} />
      </Notice>
    );
  }
  const turn = answer ? Math.abs(answer.turn) : 0;
  return (
    <View className="gap-2 bg-sheet p-3" testID="gauge" aria-live="polite">
      <Quiet>{messages.holdThePhoneFlat(label)}</Quiet>
      <LargeFigure>{answer ? `${turn.toFixed(0)}°` : '–'}</LargeFigure>
      <Body>{answer ? STATES[answer.state] : messages.waitingForTheSensor}</Body>
      {byCompass && <Quiet>{messages.itLeansOnTheCompass}</Quiet>}
      <View className="flex-row flex-wrap gap-2">
        <Button look="plain" words={messages.zero} onPress={() => setZeroedAt(performance.now())} />
        <Button
          words={common.takeIt}
          label={messages.takeTheGaugesAngle(label)}
          disabled={answer?.state !== 'steady'}
          onPress={() => onTake(Math.round(turn))}
        />
        <Button look="quiet" words={common.close} onPress={onDone} />
      </View>
    </View>
  );
}
