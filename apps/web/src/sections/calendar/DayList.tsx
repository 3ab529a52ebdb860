import { workSpans, type WorkingHours, DAY_MS } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { Link } from 'react-router';
import { Plate } from '../../shell/glyphs';
import { clockTime, writtenTime } from '../../shell/times';
import type { Row } from './bands';

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
    <section className="day-list" aria-label="By day">
      {[...days].map(([day, entries]) => (
        <div key={day} className="panel">
          <div className="ph">
            <h2>{writtenTime(day, 'dddd D MMMM')}</h2>
            <span className="aside">{entries.length === 1 ? '1 job' : `${entries.length} jobs`}</span>
          </div>
          <ol>
            {entries.map(({ row, job }) => (
              <li key={`${row.id}${job.id}`}>
                <Link to={`/batches/${row.id}`}>
                  <b className="num">{clockTime(job.at)}</b>
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
        </div>
      ))}
    </section>
  );
}
