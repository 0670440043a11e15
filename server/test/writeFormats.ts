/** Writes the schema of `docs/formats`, which a test compares; run by `npm run formats`. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { recordsSchema } from '../transfer/recordsSchema';

const folder = join(__dirname, '../../docs/formats');

writeFileSync(join(folder, 'records.schema.json'), `${JSON.stringify(recordsSchema(), null, 2)}\n`);
