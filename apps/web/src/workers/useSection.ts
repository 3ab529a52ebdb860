import type { CureCourse } from '@bunkhouse/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { watchSection, type SectionState } from './sectionJobs';
import type { SectionAnswer } from './sectionMessages';

/**
 * The simulated course of a piece, computed in a worker. The last answer stays until the next one is there; a new input ends the work
 * on an old one; a worker that dies is started again, and says so.
 */
export function useSection(course: CureCourse, soakChanges = 0): SectionState & { stale: boolean } {
  const key = useMemo(
    () => JSON.stringify([course.section, course.meatG, course.stages, course.pullH, course.aimPercent, course.diffusivity, soakChanges]),
    [course, soakChanges],
  );
  const latest = useRef({ course, soakChanges });
  latest.current = { course, soakChanges };
  const [shown, setShown] = useState<{ key: string; answer: SectionAnswer } | null>(null);
  const [state, setState] = useState<Omit<SectionState, 'answer'>>({ progress: 0, fault: null });
  useEffect(
    () =>
      watchSection({ key, ...latest.current }, ({ answer, progress, fault }) => {
        if (answer !== null) setShown({ key, answer });
        setState({ progress, fault });
      }),
    [key],
  );
  return { answer: shown?.answer ?? null, stale: shown !== null && shown.key !== key, ...state };
}
