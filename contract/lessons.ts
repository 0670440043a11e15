import { BUILD_FIGURES, CLUB_IDS, ITEMS, QUESTIONS, SHOTS, canPitch } from '@pedastance/core';
import { z } from 'zod';
import { Id, Moment, text } from './common';

export const NewLesson = z.strictObject({ id: Id, studentId: Id, startedAt: Moment });
export type NewLesson = z.infer<typeof NewLesson>;

/** Where a foot may stand, mm from the ball; far beyond any stance, near enough to catch a slip. */
const FURTHEST_MM = 3000;
const coordinate = z.number().min(-FURTHEST_MM).max(FURTHEST_MM);

const PlacedFoot = z.strictObject({
  heel: z.strictObject({ x: coordinate, y: coordinate }),
  flare: z.number().min(-45).max(90),
});

const share = z.number().min(0).max(100);

export const SetupShape = z.strictObject({
  address: z
    .strictObject({
      shoe: z.strictObject({ length: z.number().min(150).max(380), breadth: z.number().min(50).max(160) }),
      lead: PlacedFoot,
      trail: PlacedFoot,
    })
    .refine((address) => address.lead.heel.x > address.trail.heel.x, {
      path: ['trail', 'heel', 'x'],
      error: 'the trail heel further from the target than the lead heel',
    }),
  balance: z.strictObject({ leadShare: share, leadHeelToe: share, trailHeelToe: share }),
});

/** What every entry of the log carries; a correction names the entry it replaces. */
const common = { id: Id, lessonId: Id, madeAt: Moment, replaces: Id.nullable() };

export const AddressEntry = z
  .strictObject({
    ...common,
    kind: z.literal('address'),
    /** As the student stood, or as was agreed. */
    standing: z.enum(['today', 'agreed']),
    club: z.enum(CLUB_IDS),
    clubLengthInches: z.number().min(18).max(48),
    shot: z.enum(SHOTS),
    setup: SetupShape,
  })
  .refine((entry) => entry.shot === 'full' || canPitch(entry.club), {
    path: ['shot'],
    error: 'a full shot with this club',
  });

const FindingShape = z
  .strictObject({
    item: z.enum(ITEMS),
    question: z.enum(QUESTIONS),
    unit: z.enum(['mm', 'degrees', 'percent']),
    measured: z.number(),
    uncertainty: z.number().positive(),
    low: z.number(),
    middle: z.number(),
    high: z.number(),
    verdict: z.enum(['below', 'in', 'above']),
    close: z.boolean(),
    widenedBy: z.array(z.enum(BUILD_FIGURES)),
    mark: z.enum(['common practice, no source', 'starting value', 'from memory']),
    why: text(1, 500),
    limits: text(0, 500),
    putForward: z.boolean(),
  })
  .refine((finding) => finding.low <= finding.middle && finding.middle <= finding.high, {
    path: ['low'],
    error: 'a band with its low end below its high end',
  });

const NoticeShape = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('lines disagree'), toeLine: z.number(), heelLine: z.number() }),
  z.strictObject({ kind: z.literal('shoes overlap'), gap: z.number() }),
]);

export const ReadingEntry = z.strictObject({
  ...common,
  kind: z.literal('reading'),
  addressId: Id,
  buildId: Id,
  methodId: Id,
  methodVersion: z.int().min(1),
  modelVersion: z.string().regex(/^\d+\.\d+\.\d+$/),
  findings: z
    .array(FindingShape)
    .length(ITEMS.length)
    .refine((findings) => findings.every((finding, at) => finding.item === ITEMS[at]), {
      error: 'one finding for every item, in body order',
    })
    .refine((findings) => findings.filter((finding) => finding.putForward).length <= 2, {
      error: 'at most two findings put forward',
    }),
  notices: z.array(NoticeShape).max(2),
});

export const ChangeEntry = z.strictObject({
  ...common,
  kind: z.literal('change'),
  readingId: Id,
  fromAddressId: Id,
  toAddressId: Id,
  reason: text(1, 500),
  feel: text(0, 500),
  note: text(0, 2000),
});

export const NewEntry = z.discriminatedUnion('kind', [AddressEntry, ReadingEntry, ChangeEntry]);
export type NewEntry = z.infer<typeof NewEntry>;
export type AddressEntry = z.infer<typeof AddressEntry>;
export type ReadingEntry = z.infer<typeof ReadingEntry>;
export type ChangeEntry = z.infer<typeof ChangeEntry>;

/** An entry as the server answers it: as it was made, with when the server had it. */
export type LogEntry = NewEntry & { studentId: string; receivedAt: string };
