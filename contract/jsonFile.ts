/** JSON files (RFC 8259) that coaches hand to one another: read whole or not at all, every fault with its line. */
import { findNodeAtLocation, parseTree, printParseErrorCode, type Node, type ParseError } from 'jsonc-parser';
import type { z } from 'zod';
import { faultsOf, type Fault } from './faults';

export interface FileFault extends Fault {
  /** Counted from 1. */
  line: number;
}

const lineAt = (text: string, offset: number): number => text.slice(0, offset).split('\n').length;

/** The place in the file of a field, or of the nearest thing around it that is there. */
function nodeOf(tree: Node, path: readonly (string | number)[]): Node {
  for (let length = path.length; length > 0; length -= 1) {
    const found = findNodeAtLocation(tree, path.slice(0, length));
    if (found) return found;
  }
  return tree;
}

const PLACE = /^\d+$/;
const pathOf = (field: string): (string | number)[] =>
  field.split('.').map((part) => (PLACE.test(part) ? Number(part) : part));

/** "InvalidSymbol" as words. */
const spaced = (code: string): string => code.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

function brokenJson(text: string, errors: readonly ParseError[]): FileFault[] {
  return errors.map(({ error, offset, length }) => ({
    line: lineAt(text, offset),
    field: 'file',
    expected: 'JSON',
    found: `${spaced(printParseErrorCode(error))} at “${text.slice(offset, offset + Math.max(1, Math.min(length, 20)))}”`,
  }));
}

const asJson = (node: Node): unknown => JSON.parse(JSON.stringify(valueOf(node)));

function valueOf(node: Node): unknown {
  if (node.type === 'array') return (node.children ?? []).map(valueOf);
  if (node.type !== 'object') return node.value;
  return Object.fromEntries(
    (node.children ?? []).map(({ children }) => [children![0]!.value, children![1] && valueOf(children![1])]),
  );
}

/** A field that is given twice: JSON lets it pass and keeps one of them, which nobody meant. */
function twice(text: string, node: Node, path: string): FileFault[] {
  const children = node.children ?? [];
  if (node.type === 'array') return children.flatMap((child, at) => twice(text, child, `${path}${at}.`));
  if (node.type !== 'object') return [];
  const seen = new Set<string>();
  return children.flatMap(({ children: pair }) => {
    const [key, value] = pair!;
    const again = seen.has(key!.value as string);
    seen.add(key!.value as string);
    const own = again
      ? [
          {
            line: lineAt(text, key!.offset),
            field: `${path}${key!.value}`,
            expected: 'each field once',
            found: 'it again',
          },
        ]
      : [];
    return value ? [...own, ...twice(text, value, `${path}${key!.value}.`)] : own;
  });
}

/**
 * Reads a file of one schema.
 * @param text the file's
 * @param schema what it has to be
 * @param what it is called where there is nothing in it
 */
export function readJsonFile<Shape extends z.ZodType>(
  text: string,
  schema: Shape,
  what: string,
): { value: z.output<Shape> } | { faults: FileFault[] } {
  const errors: ParseError[] = [];
  const tree = parseTree(text, errors, { disallowComments: true, allowTrailingComma: false });
  if (errors.length > 0) return { faults: brokenJson(text, errors) };
  if (!tree) return { faults: [{ line: 1, field: 'file', expected: what, found: 'nothing' }] };
  const doubled = twice(text, tree, '');
  if (doubled.length > 0) return { faults: doubled };
  const value = asJson(tree);
  const parsed = schema.safeParse(value);
  if (parsed.success) return { value: parsed.data };
  const faults = faultsOf(parsed.error, value).map((fault) => ({
    line: lineAt(text, nodeOf(tree, pathOf(fault.field)).offset),
    ...fault,
  }));
  return { faults: faults.sort((a, b) => a.line - b.line) };
}
