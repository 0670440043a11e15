import { useCallback, useEffect, useRef, useState } from 'react';
import { answerTo } from './answers';
import type { Answers, Question } from './requests';

/** What a worker tells: how far it is, the answer, or why there is none. */
type Told<Answer> = { done: number } | { answer: Answer } | { failed: string };

export interface Computation<Answer> {
  /** Null while it is at work, and where nothing was asked. */
  answer: Answer | null;
  /** How much of work that lasts is done, 0 to 1; null while there is nothing to tell. */
  done: number | null;
  stopped: boolean;
  /** Neither a worker nor the page could work it out. */
  failed: boolean;
  stop: () => void;
  /** Asks the same question once more. */
  again: () => void;
}

/**
 * Asks a question in a worker of its own. A newer question ends the work on an older one;
 * so does stop, after which nothing is answered until something else is asked. Where the worker cannot be loaded, or
 * throws, the page works it out itself.
 */
export function useComputation<Ask extends keyof Answers>(
  question: Question<Ask> | null,
): Computation<Answers[Ask]> {
  type Answer = Answers[Ask];
  const worker = useRef<Worker | null>(null);
  const busy = useRef(false);
  const asked = useRef<Question<Ask> | null>(null);
  const [attempt, setAttempt] = useState(0);
  const [told, setTold] = useState<
    { question: Question<Ask> | null } & Partial<Omit<Computation<Answer>, 'stop' | 'again'>>
  >({ question: null });
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
    busy.current = false;
  }, []);
  useEffect(() => end, [end]);
  useEffect(() => {
    asked.current = question;
    if (busy.current) end();
    if (!question) return;
    // After what is being drawn: the word that it is worked out comes first.
    const failed = () => {
      end();
      setTimeout(() => {
        if (asked.current !== question) return;
        try {
          setTold({ question, answer: answerTo(question) });
        } catch {
          setTold({ question, failed: true });
        }
      });
    };
    try {
      const at = (worker.current ??= new Worker(new URL('./compute', window.location.href)));
      busy.current = true;
      at.onmessage = ({ data }: MessageEvent<Told<Answer>>) => {
        if ('failed' in data) return failed();
        if ('answer' in data) busy.current = false;
        setTold({ question, ...data });
      };
      at.onerror = (event) => {
        event.preventDefault();
        failed();
      };
      at.postMessage(question);
    } catch {
      failed();
    }
  }, [question, end, attempt]);
  const stop = useCallback(() => {
    asked.current = null;
    end();
    setTold({ question, stopped: true });
  }, [end, question]);
  const again = useCallback(() => {
    setTold({ question: null });
    setAttempt((before) => before + 1);
  }, []);
  const ours = told.question === question ? told : null;
  return {
    answer: ours?.answer ?? null,
    done: ours?.done ?? null,
    stopped: ours?.stopped ?? false,
    failed: ours?.failed ?? false,
    stop,
    again,
  };
}
