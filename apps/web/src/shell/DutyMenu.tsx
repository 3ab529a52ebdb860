import { lazy, Suspense, useState } from 'react';
import { useWho } from './who';

const DutySheet = lazy(async () => ({ default: (await import('./DutySheet')).DutySheet }));

/** Who is on duty here. */
export function DutyMenu() {
  const { name } = useWho();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <button type="button" className="duty" aria-haspopup="dialog" aria-expanded={anchor !== null} onClick={(event) => setAnchor(event.currentTarget)}>
        {name} on
      </button>
      <Suspense>{anchor !== null && <DutySheet anchor={anchor} onClose={() => setAnchor(null)} />}</Suspense>
    </>
  );
}
