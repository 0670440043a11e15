import { z } from 'zod';

/** Made by the client, so that a record exists before any server has seen it. */
export const Id = z.uuidv7();

/** A moment by the client's clock, with its offset or in UTC. */
export const Moment = z.iso.datetime({ offset: true });

export const text = (least: number, most: number) => z.string().trim().min(least).max(most);

/** What every entry of the log carries; a correction names the entry it replaces. */
export const entryCommon = { id: Id, lessonId: Id, madeAt: Moment, replaces: Id.nullable() };
