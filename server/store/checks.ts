import type { EntryCheck } from '@pedastance/contract';
import type { ClientBase } from 'pg';
import { checkRow } from './entryRows';
import { insertRows } from './rows';

/** Keeps what came of working an entry out again, with the model that did. */
export const addCheck = (
  client: ClientBase,
  academyId: string,
  entryId: string,
  check: EntryCheck,
): Promise<void> => insertRows(client, 'entry_check', [checkRow(academyId, entryId, check)]);

/** An entry's check as JSON, null where there is none; within a query of `entry`. */
export const CHECK_AS_JSON = `
  select jsonb_build_object('verdict', verdict, 'differences', differences)
  from entry_check where entry_check.academy_id = entry.academy_id and entry_check.entry_id = entry.id`;
