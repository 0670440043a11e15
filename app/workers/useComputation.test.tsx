import { act, render, waitFor } from '@testing-library/react';
import type { Question } from './requests';
import { useComputation, type Computation } from './useComputation';

/** A worker that answers when the test says so. */
class SlowWorker {
  static all: SlowWorker[] = [];
  onmessage: (event: { data: unknown }) => void = () => undefined;
  onerror: (event: { preventDefault: () => void }) => void = () => undefined;
  asked: unknown[] = [];
  ended = false;
  constructor() {
    SlowWorker.all.push(this);
  }
  postMessage(question: unknown) {
    this.asked.push(question);
  }
  terminate() {
    this.ended = true;
  }
  tell(data: unknown) {
    act(() => this.onmessage({ data }));
  }
  /** As where its file cannot be had. */
  break() {
    act(() => this.onerror({ preventDefault: () => undefined }));
  }
}

beforeEach(() => {
  SlowWorker.all = [];
  (globalThis as unknown as { Worker: unknown }).Worker = SlowWorker;
});

const question = (text: string): Question<'rows'> => ({ ask: 'rows', of: { text } });

function asking(first: Question<'rows'> | null) {
  let now: Computation<string[][]> | undefined;
  function Asks({ of }: { of: Question<'rows'> | null }) {
    now = useComputation(of);
    return null;
  }
  const view = render(<Asks of={first} />);
  return { ask: (of: Question<'rows'> | null) => view.rerender(<Asks of={of} />), now: () => now!, view };
}

test('it answers, tells how far it is, and keeps its worker for the next question', () => {
  const { ask, now } = asking(question('a'));
  const [worker] = SlowWorker.all;
  expect(now().answer).toBeNull();
  worker!.tell({ done: 0.4 });
  expect(now()).toMatchObject({ answer: null, done: 0.4 });
  worker!.tell({ answer: [['a']] });
  expect(now().answer).toEqual([['a']]);
  ask(question('b'));
  expect(now().answer).toBeNull();
  expect(SlowWorker.all).toHaveLength(1);
  expect(worker!.asked).toHaveLength(2);
});

test('a newer question ends the work on the older one, whose answer is heard no more', () => {
  const { ask, now } = asking(question('a'));
  const [older] = SlowWorker.all;
  ask(question('b'));
  expect(older!.ended).toBe(true);
  older!.tell({ answer: [['a']] });
  expect(now().answer).toBeNull();
  SlowWorker.all[1]!.tell({ answer: [['b']] });
  expect(now().answer).toEqual([['b']]);
});

test('stopped, it answers nothing until something else is asked; gone, its worker is gone', () => {
  const { ask, now, view } = asking(question('a'));
  act(() => now().stop());
  expect(SlowWorker.all[0]!.ended).toBe(true);
  expect(now()).toMatchObject({ stopped: true, answer: null });
  ask(question('b'));
  expect(now().stopped).toBe(false);
  SlowWorker.all[1]!.tell({ answer: [['b']] });
  expect(now().answer).toEqual([['b']]);
  view.unmount();
  expect(SlowWorker.all[1]!.ended).toBe(true);
});

const settled = () => act(() => new Promise((resolve) => setTimeout(resolve, 50)));

test('a worker that cannot be loaded, or throws, is no end: the page works it out', async () => {
  const { ask, now } = asking(question('a,b'));
  SlowWorker.all[0]!.break();
  await waitFor(() => expect(now()).toMatchObject({ answer: [['a', 'b']], failed: false }));
  ask(question('c,d'));
  SlowWorker.all[1]!.tell({ failed: 'thrown' });
  await waitFor(() => expect(now().answer).toEqual([['c', 'd']]));
});

test('what the page cannot work out either is told, and asked again', async () => {
  const bad = { ask: 'rows', of: {} } as unknown as Question<'rows'>;
  const { now } = asking(bad);
  SlowWorker.all[0]!.break();
  await waitFor(() => expect(now()).toMatchObject({ answer: null, failed: true }));
  act(() => now().again());
  expect(now().failed).toBe(false);
  SlowWorker.all[1]!.tell({ answer: [['late']] });
  expect(now().answer).toEqual([['late']]);
});

test('an older question is not worked out on the page once a newer one is asked', async () => {
  const { ask, now } = asking(question('a'));
  SlowWorker.all[0]!.break();
  ask(question('b'));
  await settled();
  expect(now().answer).toBeNull();
  SlowWorker.all.at(-1)!.tell({ answer: [['b']] });
  expect(now().answer).toEqual([['b']]);
});
