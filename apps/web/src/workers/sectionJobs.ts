import { sayHere } from '../reader/here';
import { proxy } from 'comlink';
import { engage, type Engaged } from './engage';
import type { SectionWorker } from './section.worker';
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
  worker: Engaged<SectionWorker> | null;
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
    job.worker?.end();
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

function work(job: Job, { key, course, soakChanges }: SectionAsk, tries: number): void {
  const worker = engage<SectionWorker>(new Worker(new URL('./section.worker.ts', import.meta.url), { type: 'module' }));
  job.worker = worker;
  const onProgress = proxy((progress: number) => tell(job, { ...job.state, progress }));
  worker.of<SectionReport>(worker.ask.section(course, soakChanges, onProgress)).then(
    (report) => {
      worker.end();
      jobs.delete(key);
      if ('answer' in report) remember(key, report.answer);
      tell(job, 'answer' in report ? { answer: report.answer, progress: null, fault: null } : { answer: null, progress: null, fault: sayHere(report.fault) });
    },
    () => {
      const again = tries < RETRIES;
      tell(job, {
        answer: null,
        progress: again ? 0 : null,
        fault: again ? 'The computation stopped and was started again.' : 'The picture could not be computed on this device.',
      });
      if (again) work(job, { key, course, soakChanges }, tries + 1);
    },
  );
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
