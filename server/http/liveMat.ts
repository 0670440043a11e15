import type { MatFrames } from '@pedastance/contract';
import { MAT_RATE, shotsBesideMat, simulatedMat, type ShotsBetween } from '../devices/mat/simulatedMat';
import type { MatFrame, PressureMat } from '../devices/mat/types';
import { whoStands } from '../devices/mat/whoStands';
import type { MatSession } from '../store/matSessions';
import { reduced } from './reduced';

/** So many frames are kept for who comes back after a while, or listens later; who was away longer goes on with these. */
const FRAMES_KEPT = 1500;
/** So many frames are made in one go, so that one mat does not keep the others waiting. */
const MOST_AT_ONCE = 100;

type SentFrame = MatFrames['frames'][number];

const tenth = (value: number): number => Math.round(value * 10) / 10;

/** A frame as it is sent: the load of each foot and its centre. */
function sent(frame: MatFrame): SentFrame {
  const { lead, trail } = reduced(frame);
  return [
    ...([lead.load, tenth(lead.along), tenth(lead.across)] as const),
    ...([trail.load, tenth(trail.along), tenth(trail.across)] as const),
  ];
}

const at = (frame: number): number => (1000 * frame) / MAT_RATE;

/** A mat that somebody listens to: its frames are made once, whoever listens. */
export class LiveMat {
  private readonly mat: PressureMat;
  private readonly shotsBetween: ShotsBetween;
  private readonly startedAt: number;
  private kept: SentFrame[] = [];
  /** The number of the next frame to be made. */
  next: number;

  /**
   * @param session who stands on it, and since when
   * @param from the first frame that is wanted
   * @param now ms since 1970
   */
  constructor(session: MatSession, from: number, now: number) {
    const { studentId, id, route, leadShare, along } = session;
    const stands = whoStands(studentId, id, route, { lead: leadShare, along });
    this.mat = simulatedMat(stands);
    this.shotsBetween = shotsBesideMat(stands);
    this.startedAt = session.startedAt.getTime();
    const newest = this.newest(now);
    this.next = Math.min(newest + 1, Math.max(from, newest - FRAMES_KEPT + 1));
  }

  /** The number of the newest frame that there is at a moment. */
  newest(now: number): number {
    return Math.floor(((now - this.startedAt) * MAT_RATE) / 1000);
  }

  /** How long somebody has stood on it, ms. */
  since(now: number): number {
    return now - this.startedAt;
  }

  /** Makes the frames that came since, so many at once at most; null where there are none. */
  make(now: number): MatFrames | null {
    const newest = this.newest(now);
    // Far behind there is no catching up: it goes on with the newest.
    if (newest - this.next >= FRAMES_KEPT) {
      this.next = newest - FRAMES_KEPT + 1;
      this.kept = [];
    }
    const from = this.next;
    const to = Math.min(newest, from + MOST_AT_ONCE - 1);
    for (; this.next <= to; this.next += 1) this.kept.push(sent(this.mat.frame(this.next)));
    if (this.kept.length > FRAMES_KEPT) this.kept = this.kept.slice(-FRAMES_KEPT);
    return this.between(from);
  }

  /** The kept frames from a number on, with the shots told of meanwhile; null where there are none. */
  between(wanted: number): MatFrames | null {
    const from = Math.max(wanted, this.next - this.kept.length);
    if (from >= this.next) return null;
    const frames = this.kept.slice(from - this.next);
    return { from, rate: MAT_RATE, frames, shots: this.shotsBetween(at(from - 1), at(this.next - 1)) };
  }
}
