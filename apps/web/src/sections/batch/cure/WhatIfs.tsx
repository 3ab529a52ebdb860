import { requestOf } from '@bunkhouse/api';
import { changedDesign, type CureCourse, type WhatIf } from '@bunkhouse/core';
import { useNavigate } from 'react-router';
import type { Batch } from '../../../data/batches';
import { houseTime } from '../../../data/serverClock';
import { usePreferences } from '../../../shell/preferences';
import { digits } from '../../../shell/quantities';
import type { SectionAnswer } from '../../../workers/sectionMessages';
import { useReplan } from '../../../shell/useReplan';
import { TableHead } from '../../../instruments/TableHead';
import { Only } from '../../../shell/Only';
import { newId } from '../../../data/newId';
import { useSay } from '../../../shell/reader';

/** One way, in a line of the comparison. */
interface Way {
  name: string;
  course: CureCourse;
  answer: SectionAnswer;
}

const QUARTER_MS = 900_000;

/** What else might be done: each a tap, compared with the plan, and taken over with another. */
export function WhatIfs({
  batch,
  offered,
  chosen,
  plan,
  other,
  onChoose,
}: {
  batch: Batch;
  offered: readonly WhatIf[];
  chosen: WhatIf | null;
  plan: Way;
  /** null while it is computed */
  other: Way | null;
  onChoose: (id: string | null) => void;
}) {
  const { replan, busy, fault } = useReplan(batch);
  const navigate = useNavigate();
  const { name } = usePreferences();
  const say = useSay();
  const asNext = (whatIf: WhatIf) => {
    const { record, state } = batch;
    const startsAt = new Date(Math.ceil(houseTime() / QUARTER_MS) * QUARTER_MS).toISOString();
    const design = changedDesign(state.design, record.process, whatIf.changes);
    void navigate('/new', { state: { request: requestOf(design, { id: newId(), by: name, startsAt }) } });
  };
  return (
    <div className="what-ifs" role="group" aria-label="What if">
      <h3 className="label">What if</h3>
      <div className="ways">
        {offered.map((whatIf) => (
          <button
            key={whatIf.id}
            type="button"
            className="way"
            aria-pressed={chosen?.id === whatIf.id}
            onClick={() => onChoose(chosen?.id === whatIf.id ? null : whatIf.id)}
          >
            {say(whatIf.said)}
          </button>
        ))}
      </div>
      {chosen !== null && (
        <div className="compared">
          <table className="book">
            <caption className="sr">The plan and what if</caption>
            <TableHead columns={['At the pull', { numbers: 'day' }, { numbers: 'core' }, { numbers: 'mean' }, { numbers: 'edge' }, { numbers: 'even from' }]} />
            <tbody>
              <WayLine way={plan} />
              {other === null ? (
                <tr>
                  <th scope="row">{say(chosen.said)}</th>
                  <td colSpan={5} className="n">
                    computing
                  </td>
                </tr>
              ) : (
                <WayLine way={other} />
              )}
            </tbody>
          </table>
          {chosen.open ? (
            <Only right="plan">
              <button type="button" className="btn" aria-disabled={busy} onClick={() => void replan(chosen.changes, chosen.title)}>
                {busy ? 'Taking it over...' : 'Take it into the plan'}
              </button>
            </Only>
          ) : (
            <div>
              <p className="note">Too late for this batch: its brine is mixed. The pale curves show how it would have gone from the start.</p>
              <button type="button" className="btn" onClick={() => asNext(chosen)}>
                Plan the next batch so
              </button>
            </div>
          )}
          {fault !== null && (
            <p className="fault" role="alert">
              {fault}
            </p>
          )}
        </div>
      )}
    </div>
  );
}

function WayLine({ way: { name, course, answer } }: { way: Way }) {
  const { salt, windows } = answer;
  const found = salt.timesH.findIndex((h) => h >= course.pullH - 1e-6);
  const at = found < 0 ? salt.timesH.length - 1 : found;
  return (
    <tr>
      <th scope="row">{name}</th>
      <td className="n">{digits(course.pullH / 24, 1)}</td>
      <td className="n">{digits(salt.core[at] ?? 0, 2)} %</td>
      <td className="n">{digits(salt.mean[at] ?? 0, 2)} %</td>
      <td className="n">{digits(salt.edge[at] ?? 0, 2)} %</td>
      <td className="n">{windows.likely.bestH === null ? 'not in 60 d' : `day ${digits(windows.likely.bestH / 24, 1)}`}</td>
    </tr>
  );
}
