import type { Fault } from '@pedastance/contract';
import { isWellFormed } from '@pedastance/contract/wellFormed';
import type { RequestHandler } from 'express';
import { badInput } from './problems';

/** Far beyond any body of the contract, near enough that nothing recurses deeply over one. */
const DEEPEST = 24;
const LONGEST_LIST = 1000;
const LONGEST_PATH = 120;

interface Place {
  value: unknown;
  path: string;
  depth: number;
}

function faultAt({ value, path, depth }: Place): Fault | undefined {
  const field = path.slice(0, LONGEST_PATH) || 'body';
  if (typeof value === 'string' && !isWellFormed(value)) {
    return {
      field,
      expected: 'text without NUL or half characters',
      found: JSON.stringify(value.slice(0, 40)),
    };
  }
  if (typeof value !== 'object' || value === null) return undefined;
  if (depth >= DEEPEST) return { field, expected: `at most ${DEEPEST} levels`, found: 'more' };
  const { length } = Array.isArray(value) ? value : Object.keys(value);
  if (length > LONGEST_LIST)
    return { field, expected: `at most ${LONGEST_LIST} of them`, found: `${length}` };
  return undefined;
}

/**
 * The first place in a body that no schema should have to look at: nested too deeply, too long a list, or
 * text that cannot be kept. Undefined where there is none. Walks without recursion.
 */
export function outOfBounds(body: unknown): Fault | undefined {
  const waiting: Place[] = [{ value: body, path: '', depth: 0 }];
  for (let place = waiting.pop(); place; place = waiting.pop()) {
    const fault = faultAt(place);
    if (fault) return fault;
    const { value, path, depth } = place;
    if (typeof value !== 'object' || value === null) continue;
    for (const [key, child] of Object.entries(value)) {
      const field = path ? `${path}.${key}` : key;
      const badKey = !Array.isArray(value) && faultAt({ value: key, path, depth });
      if (badKey) return badKey;
      waiting.push({ value: child, path: field, depth: depth + 1 });
    }
  }
  return undefined;
}

/** Refuses a body that is out of bounds before any schema sees it. */
export const boundedBody: RequestHandler = (request, _response, next) => {
  const fault = outOfBounds(request.body);
  if (fault) throw badInput(fault.field, fault.expected, fault.found);
  next();
};
