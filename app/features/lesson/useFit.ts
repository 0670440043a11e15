import type { Fit, FitProblem } from '@pedastance/core/fit';
import { useEffect, useRef, useState } from 'react';

interface Answered {
  id: number;
  fit: Fit;
}

/** The fit of a problem, worked out in a worker; null while it is at work. A newer problem supersedes. */
export function useFit(problem: FitProblem | null): Fit | null {
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const [answer, setAnswer] = useState<Fit | null>(null);
  useEffect(() => {
    const started = new Worker(new URL('../../workers/fitWorker', window.location.href));
    worker.current = started;
    started.onmessage = ({ data }: MessageEvent<Answered>) => {
      if (data.id === asked.current) setAnswer(data.fit);
    };
    return () => {
      started.terminate();
      worker.current = null;
    };
  }, []);
  useEffect(() => {
    setAnswer(null);
    asked.current += 1;
    if (problem) worker.current?.postMessage({ id: asked.current, problem });
  }, [problem]);
  return answer;
}
