import { Task } from '../../shell/Task';
import { STATION_NAMES, DAY_MS } from '@bunkhouse/core';
import { useLiveBatches } from '../../data/batches';
import { usePreferences } from '../../shell/preferences';
import { tagWeight } from '../../shell/quantities';
import { useNow } from '../../shell/useNow';
import { Sheet } from './Sheet';
import { writtenTime } from '../../shell/times';
import { nameHere } from '../../shell/here';

/** The jobs of a day over all batches, with room to write down what was measured. */
export function DaySheet() {
  const { batches = [] } = useLiveBatches();
  const preferences = usePreferences();
  const now = useNow();
  const jobs = batches
    .flatMap((batch) =>
      batch.state.steps
        .filter(({ closing, status, dueAt }) => closing === null && status !== 'missed' && dueAt < now + DAY_MS)
        .map((step) => ({ batch, step })),
    )
    .sort((a, b) => a.step.dueAt - b.step.dueAt);
  return (
    <Sheet title="Day sheet" aside={writtenTime(now, 'dddd D MMMM YYYY, HH:mm')} back={{ to: '/', word: 'To Today' }}>
      {jobs.length === 0 ? (
        <p>Nothing is due until this time tomorrow.</p>
      ) : (
        <table className="day-jobs">
          <thead>
            <tr>
              {['', 'When', 'Batch', 'What', 'Measured', 'Done at, by'].map((head) => (
                <th key={head} scope="col">
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {jobs.map(({ batch, step }) => (
              <tr key={`${batch.record.id} ${step.spec.id}`}>
                <td className="box-cell" aria-label="to tick" />
                <td>
                  {writtenTime(step.dueAt, 'ddd HH:mm')}
                  {step.urgency === 'overdue' ? ', late' : ''}
                </td>
                <th scope="row">
                  {batch.record.code},{' '}
                  {tagWeight(
                    Object.values(batch.state.facts.keptGreenG).reduce((a, b) => a + b, 0),
                    preferences,
                  )}
                </th>
                <td>
                  <b>
                    {STATION_NAMES[step.spec.station]}: {nameHere(step.spec.title)}.
                  </b>{' '}
                  <Task spec={step.spec} process={batch.record.process} />
                </td>
                <td className="to-write">{step.spec.inputs.map(({ label }) => label).join(', ')}</td>
                <td className="to-write" />
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </Sheet>
  );
}
