import { answerTo } from './answers';
import type { Answers, Question } from './requests';

/** Work that lasts longer than this says how far it is, ms. */
const TELLS_AFTER_MS = 300;

self.onmessage = ({ data }: MessageEvent<Question<keyof Answers>>) => {
  const began = performance.now();
  const progress = (done: number) => {
    if (performance.now() - began > TELLS_AFTER_MS) self.postMessage({ done });
  };
  try {
    self.postMessage({ answer: answerTo(data, progress) });
  } catch (error) {
    self.postMessage({ failed: (error as Error).message });
  }
};
