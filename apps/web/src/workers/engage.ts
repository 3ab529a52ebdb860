import { wrap, type Remote } from 'comlink';

/** A worker that is asked by calling its functions. */
export interface Engaged<T> {
  /** Its functions, each answering in its time. */
  ask: Remote<T>;
  /**
   * The answer, unless the worker dies over it: comlink alone would wait for ever.
   *
   * @throws WorkerDied
   */
  of: <A>(answer: Promise<A>) => Promise<A>;
  end: () => void;
}

/** Its file could not be loaded, or it fell over what it was asked. */
export class WorkerDied extends Error {
  constructor() {
    super('The worker died.');
    this.name = 'WorkerDied';
  }
}

/** Takes a worker on. What is asked after its `end` is never answered. */
export function engage<T>(worker: Worker): Engaged<T> {
  const died = new Promise<never>((_resolve, reject) => {
    worker.addEventListener('error', (event) => {
      event.preventDefault();
      worker.terminate();
      reject(new WorkerDied());
    });
  });
  // It is told to whoever asks; where nobody does, nobody misses it.
  died.catch(() => undefined);
  return { ask: wrap<T>(worker), of: (answer) => Promise.race([answer, died]), end: () => worker.terminate() };
}
