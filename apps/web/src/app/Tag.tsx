import { STATION_NAMES } from '@bunkhouse/core';
import { Link } from 'react-router';
import type { Batch } from '../data/batches';
import { usePreferences } from '../reader/preferences';
import { tagWeight } from '../reader/quantities';
import { span } from '../reader/times';
import { nameHere } from '../reader/here';
import { stationed } from '../theme/looks';

export interface TagSize {
  kind: 'full' | 'compact' | 'mini';
  width: number;
  height: number;
}

export const FULL_TAG: TagSize = { kind: 'full', width: 106, height: 69 };
export const MINI_TAG: TagSize = { kind: 'mini', width: 42, height: 42 };

const DROP = { waiting: 0, due: 9, overdue: 18 } as const;
const STRIP = 22;
const CUT = 9;

/** A live batch on its hook. It hangs lower when its next job is due, lower still when that is late. */
export function Tag({ batch: { record, state }, size, open, now }: { batch: Batch; size: TagSize; open: boolean; now: number }) {
  const preferences = usePreferences();
  const { next, station } = state;
  if (next === null || station === null) return null;
  const green = Object.values(state.facts.greenG).reduce((a, b) => a + b, 0);
  const weight = tagWeight(green, preferences);
  const when = next.urgency === 'overdue' ? `${span(now - next.dueAt)} late` : next.urgency === 'due' ? 'now' : span(next.dueAt - now);
  const label = `${record.code} ${record.process.name} ${weight}, at ${STATION_NAMES[station]}, ${nameHere(next.spec.title)} ${when}${next.urgency === 'waiting' ? '' : `, ${next.urgency}`}`;
  return (
    <Link
      style={{ width: size.width, ...stationed(station) }}
      className={`tag ${size.kind} ${next.urgency}`}
      to={`/batches/${record.id}`}
      aria-label={label}
      aria-current={open ? 'page' : undefined}
    >
      <Shape size={size} urgency={next.urgency} open={open} />
      <span className="tx" aria-hidden="true" style={{ top: DROP[next.urgency] }}>
        <span className="c">{size.kind === 'mini' ? record.code.split('-')[1] : record.code}</span>
        {size.kind === 'full' && <span className="w">{weight}</span>}
        {size.kind !== 'mini' && <span className="k">{size.kind === 'full' ? shortName(record.process.name) : nameHere(next.spec.title)}</span>}
        <span className="t">
          {size.kind === 'full' && <b>{nameHere(next.spec.title)}</b>}
          <span>{size.kind === 'mini' ? shortSpan(when) : when}</span>
        </span>
      </span>
    </Link>
  );
}

const shortName = (name: string) => name.replace('Pastrami brisket', 'Pastrami');

const shortSpan = (when: string) =>
  when.endsWith('late')
    ? 'late'
    : when
        .replace(/ h \d+$/, ' h')
        .replace(/ d \d+ h$/, ' d')
        .replace(' min', ' m');

function Shape({ size, urgency, open }: { size: TagSize; urgency: keyof typeof DROP; open: boolean }) {
  const { width, height } = size;
  const top = 9 + DROP[urgency];
  const cut = size.kind === 'mini' ? 6 : CUT;
  const strip = size.kind === 'mini' ? 17 : STRIP;
  const bottom = top + height;
  const middle = width / 2;
  const flag =
    urgency === 'waiting' || size.kind === 'mini'
      ? `M0 ${bottom - strip}H${width}V${bottom}H0Z`
      : `M0 ${bottom - strip}H${width + 8}L${width + 3} ${bottom - strip / 2}L${width + 8} ${bottom}H0Z`;
  return (
    <svg width={width} height={96} aria-hidden="true" focusable="false">
      {open && <path className="tag-open" d={outline(width, top, bottom, cut, 4)} />}
      <path className="tag-body" d={outline(width, top, bottom, cut, 0)} />
      <path className="tag-strip" d={flag} />
      <path className="tag-station" d={`M0 ${top + cut}H${size.kind === 'mini' ? 4 : 5}V${bottom - strip}H0Z`} />
      <path className="hook" d={`M${middle} ${top + 7}V2.5M${middle} 4c0-3.500 5-2.500 5-6 0-5-9-5-9-.5`} />
      {urgency !== 'waiting' && <rect className="link" x={middle - 3} y={8} width={6} height={9} rx={3} />}
      {urgency === 'overdue' && <rect className="link" x={middle - 3} y={17} width={6} height={9} rx={3} />}
      <circle className="eyelet" cx={middle} cy={top + 7} r={3.4} />
    </svg>
  );
}

const outline = (width: number, top: number, bottom: number, cut: number, out: number) =>
  `M${cut - out * 0.4} ${top - out}H${width - cut + out * 0.4}L${width + out} ${top + cut - out * 0.4}V${bottom + out}H${-out}V${top + cut - out * 0.4}Z`;
