/** Writes the schemas of `docs/formats`, which a test compares; run by `npm run formats`. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { laddersSchema, recordsSchema } from '../transfer/recordsSchema';

const folder = join(__dirname, '../../docs/formats');

const SCHEMAS = { records: recordsSchema(), ladders: laddersSchema() };
for (const [name, schema] of Object.entries(SCHEMAS))
  writeFileSync(join(folder, `${name}.schema.json`), `${JSON.stringify(schema, null, 2)}\n`);
