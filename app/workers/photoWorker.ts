import type { PhotoAsk, PhotoAsked, PhotoQuestion, PhotoReply, PhotoStage } from './photoRequests';

/** A photo's worker: asked one thing after another about the photo that it has open. */
export interface PhotoWorker {
  ask<Ask extends PhotoAsk>(
    ask: Ask,
    of: PhotoAsked[Ask]['of'],
    tell?: (stage: PhotoStage) => void,
  ): Promise<PhotoAsked[Ask]['answer']>;
  /** Ends whatever is under way; nothing is answered any more. */
  end(): void;
}

interface Waiting {
  resolve: (answer: never) => void;
  reject: (error: Error) => void;
  tell: ((stage: PhotoStage) => void) | undefined;
}

/** Starts a worker for photos. */
export function startPhotoWorker(): PhotoWorker {
  const worker = new Worker(new URL('./photo', window.location.href));
  const waiting = new Map<number, Waiting>();
  let last = 0;
  worker.onmessage = ({ data }: MessageEvent<PhotoReply>) => {
    const asked = waiting.get(data.number);
    if (!asked) return;
    if ('stage' in data) return asked.tell?.(data.stage);
    waiting.delete(data.number);
    if ('failed' in data) asked.reject(new Error(data.failed));
    else asked.resolve(data.answer as never);
  };
  worker.onerror = ({ message }) => {
    for (const { reject } of waiting.values()) reject(new Error(message));
    waiting.clear();
  };
  return {
    ask: (ask, of, tell) =>
      new Promise((resolve, reject) => {
        last += 1;
        waiting.set(last, { resolve, reject, tell });
        const question: PhotoQuestion = { number: last, ask, of };
        worker.postMessage(question);
      }),
    end: () => worker.terminate(),
  };
}
