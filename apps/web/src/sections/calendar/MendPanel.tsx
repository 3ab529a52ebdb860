import type { HousePlan, Moved, ScheduleParams } from '@bunkhouse/core';
import { useMemo } from 'react';
import { GuideLink } from '../../shell/GuideLink';
import { useAsk } from '../../workers/useSchedule';
import type { Row } from './bands';
import { changesOf } from './changesOf';
import type { PlanMove, PlanMoves } from './usePlanMoves';
import type { Ghost } from './WeeksPicture';
import { movedWords } from '../../shell/clashWords';

const LISTED = 4;

/** Everything that is not done yet, moved as little as it takes to keep hours and stores: listed for a yes. */
export function MendPanel({
  params,
  rows,
  plan,
  moves,
  onShow,
  onDone,
}: {
  params: ScheduleParams;
  rows: readonly Row[];
  plan: HousePlan;
  moves: PlanMoves;
  onShow: (ghosts: Ghost[] | null) => void;
  onDone: () => void;
}) {
  const { answer, fault, stale } = useAsk({ kind: 'mend', params });
  const moved = useMemo(() => (answer === null ? [] : answer.moved.filter((one) => rows.some(({ id }) => id === one.batch))), [answer, rows]);
  const left = answer?.clashes.length ?? 0;
  const asMove = (one: Moved): PlanMove[] => {
    const row = rows.find(({ id }) => id === one.batch);
    return row === undefined
      ? []
      : [
          {
            batch: row.batch,
            changes: changesOf(row.batch.state, one),
            why: `mended, ${one.moves.length === 1 ? 'one job moves' : `${one.moves.length} jobs move`}`,
          },
        ];
  };
  const take = (some: readonly Moved[]) => void moves.move(some.flatMap(asMove)).then((all) => all && some.length === moved.length && onDone());
  return (
    <section className="panel mend" aria-label="Mend the plan">
      <div className="ph">
        <h2>Mend the plan</h2>
        <span className="aside">
          {answer === null || stale ? 'working it out' : `${moved.length === 1 ? 'one batch moves' : `${moved.length} batches move`}`}
          <GuideLink to="calendar" of="The plan" />
        </span>
      </div>
      <div className="pad">
        {fault !== null && <p className="fault">{fault}</p>}
        {answer !== null && moved.length === 0 && <p>Nothing would lie better elsewhere: what is done stands, and no limit is stretched.</p>}
        {moved.length > 0 && (
          <p className="note">
            What is done stands; every gap stays within its limits.{' '}
            {left === 0 ? 'Nothing clashes then.' : `${left} of the clashes and late hours cannot be helped by moving alone.`}
          </p>
        )}
        <ul className="mend-list">
          {moved.map((one) => {
            const words = movedWords(one, plan.resources);
            return (
              <li key={one.batch}>
                <b className="num">{rows.find(({ id }) => id === one.batch)?.code}</b>
                <span>
                  {words.slice(0, LISTED).join('; ')}
                  {words.length > LISTED ? `; and ${words.length - LISTED} more` : ''}
                </span>
                <button type="button" className="btn quiet show-it" onClick={() => onShow(one.moves.map(({ batch, at }) => ({ batch, at: Date.parse(at) })))}>
                  Show it
                </button>
                <button type="button" className="btn quiet" aria-disabled={moves.busy} onClick={() => take([one])}>
                  Take over
                </button>
              </li>
            );
          })}
        </ul>
        {moved.length > 1 && (
          <button type="button" className="btn go" aria-disabled={moves.busy} onClick={() => take(moved)}>
            {moves.busy ? 'Taking over...' : `Yes, take all ${moved.length} over`}
          </button>
        )}
      </div>
    </section>
  );
}
