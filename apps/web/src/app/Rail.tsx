import { STATION_NAMES, STATIONS, type Station, HOUR_MS } from '@bunkhouse/core';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import dayjs from 'dayjs';
import { useHouse, useLiveBatches, type Batch } from '../data/batches';
import { useLostSince } from '../data/connection';
import { useDevices } from '../data/readings';
import { DutyMenu } from './DutyMenu';
import { Plate } from '../kit/glyphs';
import { inWords } from '../reader/quantities';
import { usePreferences } from '../reader/preferences';
import { FULL_TAG, MINI_TAG, Tag, type TagSize } from './Tag';
import { useNow } from '../data/useNow';
import { writtenTime } from '../reader/times';

/** The beam across every screen: each live batch as a tag under its station. */
export function Rail() {
  const { batches, failed } = useLiveBatches();
  const { data: house } = useHouse();
  const lost = useLostSince();
  const { id } = useParams();
  const now = useNow();
  const [stations, size] = useTagSize(batches?.length ?? 0);
  // Where a station holds more than it has room for, what presses is in sight.
  const byStation = (station: Station) => (batches ?? []).filter(({ state }) => state.station === station).sort((a, b) => dueAt(a) - dueAt(b));
  return (
    <header className="rail">
      <Link className="sign" to="/" aria-label={`Bunkhouse, ${house?.name ?? ''}: to Today`}>
        <b>Bunkhouse</b>
        <span>{house?.name ?? ' '}</span>
        <ColdRoom batches={batches ?? []} />
      </Link>
      <div className={`beam-of ${size.kind}`} ref={stations}>
        <div className="beam" />
        <nav className="stations" aria-label="Batches on the rail">
          {STATIONS.map((station) => {
            const here = byStation(station);
            return (
              <div key={station} className={`stn${here.length === 0 ? ' bare' : ''}`}>
                <h2 className="stn-h">
                  <Plate station={station} />
                  <span className="stn-w">
                    {STATION_NAMES[station]}
                    {here.length > 1 && <i> {here.length}</i>}
                  </span>
                </h2>
                <ul className="tags">
                  {here.map((batch) => (
                    <li key={batch.record.id}>
                      <Tag batch={batch} size={size} open={batch.record.id === id} now={now} />
                    </li>
                  ))}
                </ul>
              </div>
            );
          })}
        </nav>
      </div>
      <div className="clock">
        <span className="num">{writtenTime(now, 'HH:mm')}</span>
        <span className="date">{writtenTime(now, 'ddd D MMM')}</span>
        <DutyMenu />
        {(failed || lost !== null) && <span className="cut-off">No connection</span>}
      </div>
    </header>
  );
}

const dueAt = ({ state }: Batch): number => state.next?.dueAt ?? Infinity;

/** What a logger said so long ago is still so, ms. */
const LIVE_MS = 600_000;
const FRESH_MS = 48 * HOUR_MS;

/** The refrigerator as its logger reads it, or as it was last read at a turn, if that is not older than two days. */
function ColdRoom({ batches }: { batches: Batch[] }) {
  const preferences = usePreferences();
  const now = useNow();
  const readings = batches.flatMap(({ state }) =>
    state.standing.flatMap((entry) =>
      entry.kind === 'done' && typeof entry.values.coldC === 'number' ? [{ at: Date.parse(entry.at), C: entry.values.coldC }] : [],
    ),
  );
  const { data: devices = [] } = useDevices();
  const heard = devices.flatMap(({ kind, simulated, channels }) =>
    kind === 'refrigerator' && channels[0]?.last != null ? [{ simulated, ...channels[0].last }] : [],
  );
  // Of several the warmest: that is the one to look at.
  const live = heard.filter(({ at }) => now - Date.parse(at) < LIVE_MS).sort((a, b) => b.C - a.C)[0];
  if (live !== undefined)
    return (
      <em title={`Read by its logger, ${writtenTime(live.at, 'ddd HH:mm')}`}>
        Cold room <b>{inWords(live.C, 'temperature', preferences)}</b>
        <small className={live.simulated ? 'is-simulated' : undefined}>{live.simulated ? 'simulated' : `at ${writtenTime(live.at, 'HH:mm')}`}</small>
      </em>
    );
  const last = readings.filter(({ at }) => at > now - FRESH_MS && at <= now).sort((a, b) => b.at - a.at)[0];
  if (last === undefined) return null;
  return (
    <em title={`Read at a turn, ${writtenTime(last.at, 'ddd HH:mm')}`}>
      Cold room <b>{inWords(last.C, 'temperature', preferences)}</b>
      <small>{writtenTime(last.at, dayjs(last.at).isSame(now, 'day') ? '[at] HH:mm' : 'ddd HH:mm')}</small>
    </em>
  );
}

const NARROWEST_TAG = 72;
const GAP = 11;
const STATION_INSET = 14;

/** The widest tags that fit side by side; on a phone small ones. */
function useTagSize(count: number): [React.RefObject<HTMLDivElement | null>, TagSize] {
  const ref = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1040);
  useEffect(() => {
    const element = ref.current;
    if (element === null) return undefined;
    const observer = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  if (width < 620) return [ref, MINI_TAG];
  const each = Math.floor((width - STATIONS.length * STATION_INSET) / Math.max(1, count)) - GAP;
  return [ref, each >= FULL_TAG.width ? FULL_TAG : { kind: 'compact', width: Math.max(NARROWEST_TAG, each), height: FULL_TAG.height }];
}
