import { z } from 'zod';
import { Id, Moment } from './common';

/** What came of asking after pain: it was noted with the student, or it was nothing. */
export const PAIN_FOUND = ['noted', 'nothing'] as const;

/** A coach asked after a tick that it hurts, and after those before it; only ever added to. */
export const NewPainAnswer = z.strictObject({
  id: Id,
  studentId: Id,
  madeAt: Moment,
  /** The newest tick the coach knew of. */
  tickId: Id,
  found: z.enum(PAIN_FOUND),
});
export type NewPainAnswer = z.infer<typeof NewPainAnswer>;

/** A word of a student's own, sent from a card, that it hurts. */
export interface PainTick {
  tickId: string;
  /** By the student's own calendar. */
  on: string;
  /** A later tick of the day says that it was pressed by mistake. */
  takenBack: boolean;
  answer: Pick<NewPainAnswer, 'madeAt' | 'found'> | null;
}

/** So many words of pain go along with a student, the newest. */
export const MOST_PAIN_TICKS = 10;

/**
 * The newest word of pain that nobody has asked after: an answer goes for its tick and those before it, were that tick
 * taken back since.
 * @param ticks newest first
 */
export function painToAsk(ticks: readonly PainTick[] = []): PainTick | null {
  const stands = ticks.find(({ takenBack, answer }) => answer || !takenBack);
  return stands && !stands.answer ? stands : null;
}
