import type { z } from 'zod';

/** One thing wrong with an input: which field, what was expected, what was found. */
export interface Fault {
  field: string;
  expected: string;
  found: string;
}

/** RFC 9457 problem details, as every refused request answers. */
export interface Problem {
  type: string;
  title: string;
  status: number;
  detail: string;
  faults?: Fault[];
  /** What the record is now, where an edit was refused for being made from an older one. */
  current?: unknown;
}

type Issue = z.core.$ZodIssue;

const FORMATS: Record<string, string> = {
  uuid: 'an identifier (UUID version 7)',
  datetime: 'a date and time with its offset',
  email: 'an e-mail address',
};

/** A size limit in the words of what it limits. */
function limit(issue: Issue & { code: 'too_small' | 'too_big' }): string {
  const bound = issue.code === 'too_small' ? issue.minimum : issue.maximum;
  const word = issue.code === 'too_small' ? 'at least' : 'at most';
  if (issue.origin === 'string') return `${word} ${bound} character${bound === 1 ? '' : 's'}`;
  if (issue.origin === 'array') return `${word} ${bound} of them`;
  return issue.inclusive === false
    ? `${word === 'at least' ? 'more' : 'less'} than ${bound}`
    : `${word} ${bound}`;
}

function expectedBy(issue: Issue): string {
  switch (issue.code) {
    case 'too_small':
    case 'too_big':
      return limit(issue);
    case 'invalid_type':
      return issue.expected === 'int' ? 'a whole number' : `a ${issue.expected}`;
    case 'invalid_format':
      return FORMATS[issue.format] ?? issue.format;
    case 'invalid_value':
      return issue.values.map(String).join(' or ');
    case 'unrecognized_keys':
      return 'only known fields';
    default:
      return issue.message;
  }
}

const MOST_SHOWN = 60;

const cut = (words: string): string => (words.length > MOST_SHOWN ? `${words.slice(0, MOST_SHOWN)}…` : words);

function shown(value: unknown): string {
  if (value === undefined) return 'nothing';
  return cut(typeof value === 'string' ? `"${value}"` : JSON.stringify(value));
}

const foundAt = (input: unknown, path: readonly PropertyKey[]): unknown =>
  path.reduce<unknown>((value, key) => (value as Record<PropertyKey, unknown> | undefined)?.[key], input);

/** An answer names at most so many faults: nobody reads more, and a small body could ask for a large answer. */
export const MOST_FAULTS = 20;

/** What a schema refused, in the user's words: the first faults, and how many more there are. */
export function faultsOf(error: z.ZodError, input: unknown): Fault[] {
  const faults = error.issues.slice(0, MOST_FAULTS).map((issue) => ({
    field: issue.path.map(String).join('.') || 'body',
    expected: expectedBy(issue),
    found:
      issue.code === 'unrecognized_keys' ? cut(issue.keys.join(', ')) : shown(foundAt(input, issue.path)),
  }));
  const more = error.issues.length - faults.length;
  return more > 0
    ? [...faults, { field: 'body', expected: 'no faults', found: `${more} more faults` }]
    : faults;
}
