import type { Said } from '../../domain/said';

/** What this screen says. */
export const messages = {
  thePhonesMotionSensorWas:
    'The phone’s motion sensor was refused. Type the angle, or allow it in the browser’s settings.',
  thisDeviceHasNoMotion: 'This device has no motion sensor that answers. Type the angle instead.',
  closeTheGauge: 'Close the gauge',
  holdThePhoneFlat: (label: Said) => `Hold the phone flat on it, zero, turn, and hold still: ${label}`,
  waitingForTheSensor: 'waiting for the sensor …',
  itLeansOnTheCompass: 'It leans on the compass: keep away from clubs, carts and other metal.',
  zero: 'Zero',
  takeTheGaugesAngle: (label: Said) => `Take the gauge’s angle: ${label}`,
};
