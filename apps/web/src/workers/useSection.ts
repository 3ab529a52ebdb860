import type { CureCourse } from '@bunkhouse/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { SectionAnswer, SectionAsk, SectionReport } from './sectionMessages';

interface SectionState {
  answer: SectionAnswer | null;
  /** 0 to 1 while a new one is computed */
  progress: number | null;
  fault: string | null;
}

/** What was computed on this page, by input: going back and forth costs nothing. */
const known = new Map<string, SectionAnswer>();
const MOST_KNOWN = 6;
const RETRIES = 2;
/** While somebody types, nothing is begun that the next key would end, ms. */
const REST_MS = 200;

/**
 * The simulated course of a piece, computed in a worker. The last answer stays until the next one is there; a new input ends the work
 * on an old one; a worker that dies is started again, and says so.
 */
export function useSection(course: CureCourse, soakChanges = 0): SectionState & { stale: boolean } {
  const key = useMemo(() => JSON.stringify([course.section, course.meatG, course.stages, course.pullH, soakChanges]), [course, soakChanges]);
  const latest = useRef({ course, soakChanges });
  latest.current = { course, soakChanges };
  const [shown, setShown] = useState<{ key: string; answer: SectionAnswer } | null>(null);
  const [state, setState] = useState<Omit<SectionState, 'answer'>>({ progress: 0, fault: null });
  useEffect(() => {
    const ready = known.get(key);
    if (ready !== undefined) {
      setShown({ key, answer: ready });
      setState({ progress: null, fault: null });
      return;
    }
    let worker: Worker | null = null;
    let tries = 0;
    const begin = () => {
      worker = new Worker(new URL('./section.worker.ts', import.meta.url), { type: 'module' });
      worker.addEventListener('message', ({ data }: MessageEvent<SectionReport>) => {
        if (data.key !== key) return;
        if ('progress' in data) setState((was) => ({ ...was, progress: data.progress }));
        else if ('fault' in data) setState({ progress: null, fault: data.fault });
        else {
          remember(key, data.answer);
          setShown({ key, answer: data.answer });
          setState({ progress: null, fault: null });
        }
      });
      worker.addEventListener('error', () => {
        worker?.terminate();
        tries += 1;
        setState({
          progress: tries > RETRIES ? null : 0,
          fault: tries > RETRIES ? 'The picture could not be computed on this device.' : 'The computation stopped and was started again.',
        });
        if (tries <= RETRIES) begin();
      });
      const ask: SectionAsk = { key, ...latest.current };
      worker.postMessage(ask);
    };
    setState({ progress: 0, fault: null });
    const timer = setTimeout(begin, REST_MS);
    return () => {
      clearTimeout(timer);
      worker?.terminate();
    };
  }, [key]);
  return { answer: shown?.answer ?? null, stale: shown !== null && shown.key !== key, ...state };
}

function remember(key: string, answer: SectionAnswer): void {
  known.set(key, answer);
  const oldest = known.keys().next().value;
  if (known.size > MOST_KNOWN && oldest !== undefined) known.delete(oldest);
}
