import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';
import * as everyday from '..';
import * as schools from '../method/schools';

/** What core exports, and what is only loaded where it is asked for. */
const core = { ...everyday, ...schools };

const CORE = join(__dirname, '..');

const sources = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) return name === 'test' ? [] : sources(path);
    return name.endsWith('.ts') && !name.endsWith('.test.ts') ? [path] : [];
  });

/** Every `@example expression // result` of a docstring. */
const EXAMPLES = sources(CORE).flatMap((file) =>
  [...readFileSync(file, 'utf8').matchAll(/@example (.+?) \/\/ (.+)/g)].map(
    ([, expression, result]) => [relative(CORE, file), expression!, result!] as const,
  ),
);

/** The value of an expression in which everything that core exports can be used. */
const valueOf = (expression: string): unknown =>
  new Function(...Object.keys(core), `return (${expression});`)(...Object.values(core));

test.each(EXAMPLES)('%s: %s', (_file, expression, result) => {
  expect(valueOf(expression)).toEqual(valueOf(result));
});

test('there are examples, or the pattern has missed them', () => {
  expect(EXAMPLES.length).toBeGreaterThan(20);
});
