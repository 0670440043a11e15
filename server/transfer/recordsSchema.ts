import { LadderFile } from '@pedastance/contract/ladderFile';
import { RecordsHeader, RecordsLine } from '@pedastance/contract/recordsFile';
import { z } from 'zod';

/** The JSON Schema (draft 2020-12) of one line of a file of records, made from what reads it. */
export const recordsSchema = (): object => ({
  title: 'A line of a file of records',
  ...z.toJSONSchema(z.union([RecordsHeader, RecordsLine]), {
    io: 'input',
    unrepresentable: 'any',
    reused: 'ref',
  }),
});

/** The JSON Schema of a file of ladders, made from what reads it. */
export const laddersSchema = (): object => ({
  title: 'A file of ladders',
  ...z.toJSONSchema(LadderFile, { io: 'input', unrepresentable: 'any' }),
});
