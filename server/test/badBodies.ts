/** Bodies that are wrong in one place each, made from sound ones by a seeded generator. */
import { seeded } from '@pedastance/core/statistics';

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const DEEP = 9000;
const deep = (open: string, close: string) => open.repeat(DEEP) + close.repeat(DEEP);

/** Values as JSON text, each wrong somewhere: by type, size, range, depth, or what text may hold. */
const WRONG = [
  'null',
  'true',
  '""',
  '"\\u0000"',
  '"a\\u0000b"',
  '"\\ud800"',
  '"x\\udc00x"',
  '-1',
  '1.5',
  '2147483648',
  '9007199254740993',
  '1e300',
  '-1e300',
  '1e999',
  '[]',
  '{}',
  '[null]',
  '{"__proto__":{"a":1}}',
  `"${'long '.repeat(1500)}"`,
  `[${Array(3000).fill('1').join(',')}]`,
  deep('[', ']'),
  deep('{"a":', '}').replace('}', '1}'),
  '"0000-01-01T00:00:00Z"',
  '"0001-01-01T00:00:00Z"',
  '"10000-01-01T00:00:00Z"',
  '"9999-12-31T23:59:59Z"',
  '"2099-12-31T23:59:59+23:59"',
  '"2026-02-30T00:00:00Z"',
  '"2026-01-01T00:00:00"',
  '"-000001-01-01T00:00:00Z"',
  '"not an id"',
  '"00000000-0000-7000-8000-000000000000"',
];

const pathsOf = (value: Json, path: (string | number)[] = []): (string | number)[][] => {
  if (typeof value !== 'object' || value === null) return [path];
  const entries = Array.isArray(value) ? [...value.entries()] : Object.entries(value);
  return [path, ...entries.flatMap(([key, child]) => pathsOf(child as Json, [...path, key]))];
};

const MARK = '"<here>"';

/** A body's JSON with the value at a path replaced by other JSON text. */
function replaced(body: Json, path: readonly (string | number)[], text: string): string {
  if (path.length === 0) return text;
  const copy = structuredClone(body) as Record<string | number, Json>;
  const last = path.at(-1)!;
  const holder = path
    .slice(0, -1)
    .reduce<Record<string | number, Json>>((at, key) => at[key] as Record<string | number, Json>, copy);
  holder[last] = JSON.parse(MARK) as Json;
  return JSON.stringify(copy).replace(MARK, () => text);
}

export interface BadBody {
  text: string;
  /** Where it was changed, and to what, for the report. */
  at: string;
  to: string;
}

/** `count` bodies, each one of `sound` with one value replaced, left out, or given a field too many. */
export function* badBodies(sound: readonly object[], count: number, seed: number): Generator<BadBody> {
  const random = seeded(seed);
  const pick = <Value>(values: readonly Value[]): Value => values[Math.floor(random() * values.length)]!;
  for (let made = 0; made < count; made += 1) {
    const body = JSON.parse(JSON.stringify(pick(sound))) as Json;
    const path = pick(pathsOf(body));
    const to = pick(WRONG);
    yield { text: replaced(body, path, to), at: path.join('.') || 'body', to: to.slice(0, 40) };
  }
}
