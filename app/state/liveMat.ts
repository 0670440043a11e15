import type { MatFrames, NewMatSession } from '@pedastance/contract';
import { leadShareOf, type PressureFrame, type PressureRecording } from '@pedastance/core/balance';
import { createStore } from 'zustand/vanilla';

export type MatLine = 'off' | 'connecting' | 'open' | 'lost';

interface LiveMat {
  line: MatLine;
  session: string | null;
}

/** Whether the mat is listened to; its frames lie apart, so that nothing is drawn anew for each of them. */
export const liveMat = createStore<LiveMat>(() => ({ line: 'off', session: null }));

/** Frames are kept for so long, ms: a student is looked at, and swings a few times. */
const KEPT_MS = 120_000;
/** Refused outright, the browser does not come back by itself: it is asked again after so long, ms. */
const AGAIN_MS = 1500;

const frames: PressureFrame[] = [];
/** Shots that a monitor beside the mat told of: ms of the strike, and the path, degrees. */
let shots: MatFrames['shots'] = [];
const heard = new Set<() => void>();
let rate = 100;
let last = -1;
let source: EventSource | null = null;
let again: ReturnType<typeof setTimeout> | undefined;

/** All that the mat told of the last two minutes. */
export const matRecording = (): PressureRecording => ({ rate, frames });

/** A strike of the monitor's and one of the mat's this near are the same, ms. */
const SAME_STRIKE_MS = 400;

/** The shot that a monitor told of about a strike: when it was struck, and its path; null where none did. */
export const shotAbout = (strike: number): (typeof shots)[number] | null =>
  shots.find(({ at }) => Math.abs(at - strike) <= SAME_STRIKE_MS) ?? null;

/** The newest frame; undefined before the first. */
export const newestFrame = (): PressureFrame | undefined => frames[frames.length - 1];

/** Hears of new frames; answers how to hear no more. */
export function onFrames(hear: () => void): () => void {
  heard.add(hear);
  return () => heard.delete(hear);
}

function take({ from, rate: sent, frames: told, shots: hit }: MatFrames): void {
  rate = sent;
  shots.push(...hit.filter(({ at }) => shots.every((each) => each.at !== at)));
  for (const [at, [leadLoad, leadAlong, leadAcross, trailLoad, trailAlong, trailAcross]] of told.entries()) {
    const number = from + at;
    // What was heard already is not heard twice.
    if (number <= last) continue;
    last = number;
    frames.push({
      at: (1000 * number) / rate,
      lead: { load: leadLoad, along: leadAlong, across: leadAcross },
      trail: { load: trailLoad, along: trailAlong, across: trailAcross },
    });
  }
  const oldest = (1000 * last) / rate - KEPT_MS;
  const gone = frames.findIndex((frame) => frame.at >= oldest);
  if (gone > 0) frames.splice(0, gone);
  shots = shots.filter(({ at }) => at >= oldest);
  for (const hear of heard) hear();
}

function listen(session: NewMatSession['id']): void {
  source = new EventSource(`/api/mat-sessions/${session}/frames?after=${last}`);
  source.onopen = () => liveMat.setState({ line: 'open' });
  source.onerror = () => {
    liveMat.setState({ line: 'lost' });
    // A stream that is only let go of comes back by itself, after the last frame it had.
    if (source?.readyState !== EventSource.CLOSED) return;
    again = setTimeout(() => listen(session), AGAIN_MS);
  };
  source.addEventListener('frames', ({ data }: MessageEvent<string>) => {
    if (liveMat.getState().line !== 'open') liveMat.setState({ line: 'open' });
    take(JSON.parse(data) as MatFrames);
  });
}

/** Listens to a session of the mat. */
export function openMat(session: string): void {
  closeMat();
  frames.length = 0;
  shots = [];
  last = -1;
  liveMat.setState({ line: 'connecting', session });
  listen(session);
}

/** Lets the mat go. */
export function closeMat(): void {
  clearTimeout(again);
  source?.close();
  source = null;
  liveMat.setState({ line: 'off', session: null });
}

/** How somebody stands now, percent, whole: lead share, and heel to toe under each foot. */
export const standsNow = (frame: PressureFrame): { share: number; lead: number; trail: number } => ({
  share: Math.round(leadShareOf(frame)),
  lead: Math.round(frame.lead.along),
  trail: Math.round(frame.trail.along),
});
