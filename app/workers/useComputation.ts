import { useCallback, useEffect, useRef, useState } from 'react';
import type { Answers, Question } from './requests';

type Told<Answer> = { done: number } | { answer: Answer };

export interface Computation<Answer> {
  /** Null while it is at work, and where nothing was asked. */
  answer: Answer | null;
  /** How much of work that lasts is done, 0 to 1; null while there is nothing to tell. */
  done: number | null;
  stopped: boolean;
  stop: () => void;
}

/**
 * Asks a question in a worker of its own. A newer question ends the work on an older one;
 * so does stop, after which nothing is answered until something else is asked.
 */
export function useComputation<Ask extends keyof Answers>(
  question: Question<Ask> | null,
): Computation<Answers[Ask]> {
  type Answer = Answers[Ask];
  const worker = useRef<Worker | null>(null);
  const busy = useRef(false);
  const [told, setTold] = useState<{ question: Question<Ask> | null } & Partial<Computation<Answer>>>({
    question: null,
  });
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    busy.current = false;
  }, []);
  useEffect(() => end, [end]);
  useEffect(() => {
    if (busy.current) end();
    if (!question) return;
    const at = (worker.current ??= new Worker(new URL('./compute', window.location.href)));
    busy.current = true;
    at.onmessage = ({ data }: MessageEvent<Told<Answer>>) => {
      if ('answer' in data) busy.current = false;
      setTold({ question, ...data });
    };
    at.postMessage(question);
  }, [question, end]);
  const stop = useCallback(() => {
    end();
    setTold({ question, stopped: true });
  }, [end, question]);
  const ours = told.question === question ? told : null;
  return {
    answer: ours?.answer ?? null,
    done: ours?.done ?? null,
    stopped: ours?.stopped ?? false,
    stop,
  };
}
