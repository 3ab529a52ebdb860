import { Panel } from '../../kit/Panel';
import { workSpans, type WorkingHours, DAY_MS } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { Link } from 'react-router';
import { Plate } from '../../kit/glyphs';
import { clockTime, writtenTime } from '../../reader/times';
import type { Row } from './bands';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { worded } from '../../theme/type';

const styles = {
  dayList: {
    display: 'none',
    '& ol': { display: 'grid' },
    '& a': {
      display: 'grid',
      gridTemplateColumns: '56px 24px 1fr',
      gap: '10px',
      alignItems: 'center',
      minHeight: '52px',
      padding: '6px 12px',
      color: 'inherit',
      textDecoration: 'none',
      borderTop: `1px solid ${t.hair}`,
    },
    '& small': { display: 'block', color: t.ink2, font: worded(14, 18, 400) },
    [fold.narrow]: { display: 'grid', gap: '10px' },
  },
} as const;

const DAYS_LISTED = 21;

/** The same by day, for narrow screens: every job that is still to come. */
export function DayList({ rows, now, hours }: { rows: readonly Row[]; now: number; hours: WorkingHours }) {
  const until = now + DAYS_LISTED * DAY_MS;
  const spans = workSpans(hours, now - DAY_MS, until);
  const jobs = rows.flatMap((row) => row.jobs.filter((job) => !job.done && job.at < until).map((job) => ({ row, job }))).sort((a, b) => a.job.at - b.job.at);
  const days = new Map<string, typeof jobs>();
  for (const entry of jobs) {
    const day = dayjs(Math.max(now, entry.job.at)).format('YYYY-MM-DD');
    days.set(day, [...(days.get(day) ?? []), entry]);
  }
  return (
    <Box component="section" sx={styles.dayList} aria-label="By day">
      {[...days].map(([day, entries]) => (
        <Panel key={day} title={writtenTime(day, 'dddd D MMMM')} aside={entries.length === 1 ? '1 job' : `${entries.length} jobs`}>
          <ol>
            {entries.map(({ row, job }) => (
              <li key={`${row.id}${job.id}`}>
                <Link to={`/batches/${row.id}`}>
                  <Box component="b" sx={looks.num}>
                    {clockTime(job.at)}
                  </Box>
                  <Plate station={job.station} size={24} />
                  <span>
                    {job.title}
                    <small>
                      {row.code}, {row.what}
                      {spans.some((span) => job.at >= span.from && job.at < span.to) ? '' : ', outside working hours'}
                    </small>
                  </span>
                </Link>
              </li>
            ))}
          </ol>
        </Panel>
      ))}
    </Box>
  );
}
