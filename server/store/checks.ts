import type { EntryCheck } from '@pedastance/contract';
import { MODEL_VERSION } from '@pedastance/core/reading';
import type { ClientBase } from 'pg';
import { insertRow } from './rows';

/** Keeps what came of working an entry out again, with the model that did. */
export const addCheck = (
  client: ClientBase,
  academyId: string,
  entryId: string,
  check: EntryCheck,
): Promise<void> =>
  insertRow(client, 'entry_check', {
    academy_id: academyId,
    entry_id: entryId,
    verdict: check.verdict,
    differences: JSON.stringify(check.differences),
    model_version: MODEL_VERSION,
  });

/** An entry's check as JSON, null where there is none; within a query of `entry`. */
export const CHECK_AS_JSON = `
  select jsonb_build_object('verdict', verdict, 'differences', differences)
  from entry_check where entry_check.academy_id = entry.academy_id and entry_check.entry_id = entry.id`;
