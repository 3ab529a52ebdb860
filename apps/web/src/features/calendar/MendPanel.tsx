import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import type { HousePlan, Moved, ScheduleParams } from '@bunkhouse/core';
import { useMemo } from 'react';
import { Panel } from '../../kit/Panel';
import { GuideLink } from '../../kit/GuideLink';
import { useAsk } from '../../workers/useSchedule';
import type { Row } from './bands';
import { changesOf } from './changesOf';
import type { PlanMove, PlanMoves } from './usePlanMoves';
import type { Ghost } from './WeeksPicture';
import { movedWords } from '../../reader/words/clashWords';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  mendList: {
    display: 'grid',
    gap: '2px',
    '& li': { display: 'flex', flexWrap: 'wrap', gap: '6px 12px', alignItems: 'center', padding: '6px 0', borderTop: `1px solid ${t.hair}` },
    '& span': { flex: '1 1 340px' },
  },
  num: { font: signed(18, 'normal', 600), minWidth: '72px' },
} as const;

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
    <Panel
      title="Mend the plan"
      aside={
        <>
          {answer === null || stale ? 'working it out' : `${moved.length === 1 ? 'one batch moves' : `${moved.length} batches move`}`}
          <GuideLink to="calendar" of="The plan" />
        </>
      }
      label="Mend the plan"
    >
      <Box sx={padded}>
        {fault !== null && <Typography variant="fault">{fault}</Typography>}
        {answer !== null && moved.length === 0 && <p>Nothing would lie better elsewhere: what is done stands, and no limit is stretched.</p>}
        {moved.length > 0 && (
          <Typography variant="note">
            What is done stands; every gap stays within its limits.{' '}
            {left === 0 ? 'Nothing clashes then.' : `${left} of the clashes and late hours cannot be helped by moving alone.`}
          </Typography>
        )}
        <Box component="ul" sx={styles.mendList}>
          {moved.map((one) => {
            const words = movedWords(one, plan.resources);
            return (
              <li key={one.batch}>
                <Box component="b" sx={[looks.num, styles.num]}>
                  {rows.find(({ id }) => id === one.batch)?.code}
                </Box>
                <span>
                  {words.slice(0, LISTED).join('; ')}
                  {words.length > LISTED ? `; and ${words.length - LISTED} more` : ''}
                </span>
                <Button variant="quiet" sx={looks.showIt} onClick={() => onShow(one.moves.map(({ batch, at }) => ({ batch, at: Date.parse(at) })))}>
                  Show it
                </Button>
                <Button variant="quiet" aria-disabled={moves.busy} onClick={() => take([one])}>
                  Take over
                </Button>
              </li>
            );
          })}
        </Box>
        {moved.length > 1 && (
          <Button variant="contained" aria-disabled={moves.busy} onClick={() => take(moved)}>
            {moves.busy ? 'Taking over...' : `Yes, take all ${moved.length} over`}
          </Button>
        )}
      </Box>
    </Panel>
  );
}
