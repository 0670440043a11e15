/**
 * 20,000 students and 300,000 entries out of the product and in again: the demo's own students, copied with new
 * identifiers until there are as many, so that the mix of kinds is the demo's; then the file that came out is read into
 * another academy.
 */
import { sessionCookie } from '../../server/test/sessionCookie';
import { createReadStream, createWriteStream, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { OWNER_HEADER, ownerOf, type Identity } from '@pedastance/contract';
import { v7 as newId } from 'uuid';
import { ORIGIN, report, signedIn } from './coach';

const STUDENTS = 20_000;
const ENTRIES = 300_000;
const SERVER = process.env.SERVER_PROCESS!;
const PASSWORD = 'as long as it takes here';

/** What the server's process holds in memory, MB. */
const memory = (): number =>
  Number(/VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${SERVER}/status`, 'utf8'))![1]) / 1024;

/** The most memory the server holds while something goes on, MB; looked at ten times a second. */
async function watched<Result>(work: () => Promise<Result>): Promise<{ result: Result; most: number }> {
  let most = 0;
  const look = setInterval(() => (most = Math.max(most, memory())), 100);
  try {
    return { result: await work(), most };
  } finally {
    clearInterval(look);
  }
}

async function newAcademy(name: string): Promise<Record<string, string>> {
  const response = await fetch(`${ORIGIN}/api/academy`, {
    method: 'POST',
    headers: { origin: ORIGIN, 'content-type': 'application/json' },
    body: JSON.stringify({
      academyName: name,
      name,
      email: `${name.toLowerCase()}@bench.example`,
      password: PASSWORD,
      method: 'free-the-hips',
    }),
  });
  const { identity } = (await response.json()) as { identity: Identity };
  return {
    origin: ORIGIN,
    cookie: sessionCookie(response.headers).split(';')[0]!,
    [OWNER_HEADER]: ownerOf(identity),
  };
}

interface Group {
  lines: string[];
  entries: number;
}

const UUID = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;

/** A copy of a student's lines with identifiers of its own; those of colleagues and methods stay. */
function copied(lines: readonly string[], fixed: ReadonlySet<string>): string[] {
  const fresh = new Map<string, string>();
  return lines.map((line) =>
    line.replace(UUID, (id) => {
      if (fixed.has(id)) return id;
      const known = fresh.get(id) ?? newId();
      fresh.set(id, known);
      return known;
    }),
  );
}

function groupsOf(lines: readonly string[]) {
  const start: string[] = [];
  const groups: Group[] = [];
  for (const line of lines) {
    if (line.startsWith('{"kind":"student"')) groups.push({ lines: [], entries: 0 });
    const group = groups.at(-1);
    if (!group) start.push(line);
    else if (!line.startsWith('{"kind":"end"')) {
      group.lines.push(line);
      if (line.includes('"kind":"entry"')) group.entries += 1;
    }
  }
  return { start, groups };
}

/** The lines of a large academy. */
function* largeAcademy(text: string, mix: Record<string, number>): Generator<string> {
  const { start, groups } = groupsOf(text.split('\n').filter(Boolean));
  const fixed = new Set(start.join('\n').match(UUID));
  const short: Group = {
    lines: groups[0]!.lines.filter((line) => !line.includes('"kind":"entry"')),
    entries: 0,
  };
  let [lines, entries] = [start.length, 0];
  yield* start;
  for (let at = 0; at < STUDENTS; at += 1) {
    const next = groups[at % groups.length]!;
    const group = entries + next.entries <= ENTRIES ? next : short;
    for (const line of copied(group.lines, fixed)) {
      lines += 1;
      const kind = /"kind": "(address|reading|change|trial|shots|look|intake|exception)"/.exec(line)?.[1];
      if (kind) mix[kind] = (mix[kind] ?? 0) + 1;
      yield line;
    }
    entries += group.entries;
  }
  yield JSON.stringify({ kind: 'end', lines: lines + 1 });
}

async function readIn(headers: Record<string, string>, file: string) {
  const response = await fetch(`${ORIGIN}/api/imports?step=take`, {
    method: 'POST',
    headers: { ...headers, 'content-type': 'application/x-ndjson' },
    body: Readable.toWeb(createReadStream(file)) as ReadableStream,
    duplex: 'half',
  } as RequestInit);
  return (await response.json()) as {
    summary: { students: { fresh: number }; entries: number };
    faults: object[];
  };
}

async function readOut(headers: Record<string, string>, file: string): Promise<void> {
  const response = await fetch(`${ORIGIN}/api/exports/academy`, { headers });
  await pipeline(Readable.fromWeb(response.body as never), createWriteStream(file));
}

const timed = async <Result>(work: () => Promise<Result>) => {
  const startedAt = performance.now();
  const { result, most } = await watched(work);
  return { seconds: (performance.now() - startedAt) / 1000, result, most };
};

const signedInHeaders = async (name: string): Promise<Record<string, string>> => {
  const { coach } = await signedIn(`${name.toLowerCase()}@bench.example`, PASSWORD);
  return { origin: ORIGIN, ...coach.headers };
};

/** The 64 MiB of a password check are given back a moment after it: they are not the export's. */
const SETTLED_MS = 1000;

const FOLDER = process.env.FOLDER!;
const [MADE, OUT] = [join(FOLDER, 'made.jsonl'), join(FOLDER, 'out.jsonl')];

async function fill(): Promise<object> {
  const { coach } = await signedIn();
  const text = (await coach.ask('GET', '/api/exports/academy')).body as string;
  const mix: Record<string, number> = {};
  await pipeline(
    Readable.from(largeAcademy(text, mix)),
    async function* (lines: AsyncIterable<string>) {
      for await (const line of lines) yield `${line}\n`;
    },
    createWriteStream(MADE),
  );
  const { summary, faults } = await readIn(await newAcademy('First'), MADE);
  if (faults.length > 0) throw new Error(JSON.stringify(faults));
  return { mix, students: summary.students.fresh, entries: summary.entries };
}

const PHASES: Record<string, () => Promise<object>> = {
  fill,
  export: async () => {
    const headers = await signedInHeaders('First');
    await new Promise((resolve) => setTimeout(resolve, SETTLED_MS));
    const { seconds, most } = await timed(() => readOut(headers, OUT));
    return { seconds, memory: most };
  },
  import: async () => {
    const headers = await newAcademy('Second');
    const { seconds, most, result } = await timed(() => readIn(headers, OUT));
    if (result.faults.length > 0) throw new Error(JSON.stringify(result.faults));
    return { seconds, memory: most };
  },
};

void PHASES[process.env.PHASE!]!().then(report);
