/** One step each second and a half: unhurried (starting value). */
const STEP_MS = 1500;

const TICK_HZ = 880;
const TICK_SECONDS = 0.03;
const QUIET = 0.05;

/** A quiet tick. */
function sound(audio: AudioContext): void {
  const [tone, loudness] = [audio.createOscillator(), audio.createGain()];
  tone.frequency.value = TICK_HZ;
  loudness.gain.value = QUIET;
  tone.connect(loudness).connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + TICK_SECONDS);
}

let going: ReturnType<typeof setInterval> | undefined;

/** Goes through the steps of the routine, each with a quiet tick; a second time it begins anew. */
export function startRoutine(root: Element): void {
  const steps = [...root.querySelectorAll('.card-steps li')];
  clearInterval(going);
  if (steps.length === 0) return;
  const audio = new AudioContext();
  let at = 0;
  const step = () => {
    steps.forEach((each, place) => each.classList.toggle('card-at', place === at));
    if (at >= steps.length) {
      clearInterval(going);
      void audio.close();
      return;
    }
    sound(audio);
    at += 1;
  };
  steps[0]!.scrollIntoView({ block: 'center' });
  step();
  going = setInterval(step, STEP_MS);
}
