import { sayHere } from '../shell/here';
import type { SectionAnswer, SectionAsk, SectionReport } from './sectionMessages';

/** How a computation stands. */
export interface SectionState {
  answer: SectionAnswer | null;
  /** 0 to 1 while it is computed */
  progress: number | null;
  fault: string | null;
}

type Listener = (state: SectionState) => void;

/** One computation: everybody on the page who asks the same listens to the same worker. */
interface Job {
  listeners: Set<Listener>;
  worker: Worker | null;
  state: SectionState;
  timer: ReturnType<typeof setTimeout>;
}

/** What was computed on this page, by input: going back and forth costs nothing. */
const known = new Map<string, SectionAnswer>();
const MOST_KNOWN = 10;
const RETRIES = 2;
/** While somebody types, nothing is begun that the next key would end, ms. */
const REST_MS = 200;

const jobs = new Map<string, Job>();

/** Listens to a computation, which begins with its first listener and ends with its last. Answers the way to stop. */
export function watchSection(ask: SectionAsk, listener: Listener): () => void {
  const answer = known.get(ask.key);
  if (answer !== undefined) {
    listener({ answer, progress: null, fault: null });
    return () => undefined;
  }
  const job = jobs.get(ask.key) ?? begun(ask);
  job.listeners.add(listener);
  listener(job.state);
  return () => {
    job.listeners.delete(listener);
    if (job.listeners.size > 0) return;
    clearTimeout(job.timer);
    job.worker?.terminate();
    if (jobs.get(ask.key) === job) jobs.delete(ask.key);
  };
}

function begun(ask: SectionAsk): Job {
  const job: Job = {
    listeners: new Set(),
    worker: null,
    state: { answer: null, progress: 0, fault: null },
    timer: setTimeout(() => work(job, ask, 0), REST_MS),
  };
  jobs.set(ask.key, job);
  return job;
}

function work(job: Job, ask: SectionAsk, tries: number): void {
  const worker = new Worker(new URL('./section.worker.ts', import.meta.url), { type: 'module' });
  job.worker = worker;
  worker.addEventListener('message', ({ data }: MessageEvent<SectionReport>) => {
    if ('progress' in data) tell(job, { ...job.state, progress: data.progress });
    else {
      worker.terminate();
      jobs.delete(ask.key);
      if ('answer' in data) remember(ask.key, data.answer);
      tell(job, 'answer' in data ? { answer: data.answer, progress: null, fault: null } : { answer: null, progress: null, fault: sayHere(data.fault) });
    }
  });
  worker.addEventListener('error', () => {
    worker.terminate();
    const again = tries < RETRIES;
    tell(job, {
      answer: null,
      progress: again ? 0 : null,
      fault: again ? 'The computation stopped and was started again.' : 'The picture could not be computed on this device.',
    });
    if (again) work(job, ask, tries + 1);
  });
  worker.postMessage(ask);
}

function tell(job: Job, state: SectionState): void {
  job.state = state;
  for (const listener of job.listeners) listener(state);
}

function remember(key: string, answer: SectionAnswer): void {
  known.set(key, answer);
  const oldest = known.keys().next().value;
  if (known.size > MOST_KNOWN && oldest !== undefined) known.delete(oldest);
}
