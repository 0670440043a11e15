import { fit, type FitProblem } from '@pedastance/core/fit';

/** Answers each problem with its fit, out of the way of the screen. */
self.onmessage = ({ data }: MessageEvent<{ id: number; problem: FitProblem }>) => {
  self.postMessage({ id: data.id, fit: fit(data.problem) });
};
