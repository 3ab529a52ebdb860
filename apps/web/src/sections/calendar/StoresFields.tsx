import { HOUR_MS } from '@bunkhouse/core';
import type { Resource } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { NumberField } from '../../instruments/NumberField';
import { fieldTime } from '../../shell/times';
import { STORE_UNITS } from '../../shell/clashWords';

const KINDS = { refrigerator: 'Refrigerator', smoker: 'Smoker', tub: 'Tubs' } as const;
const ADDED = { refrigerator: 'a refrigerator', smoker: 'a smoker', tub: 'tubs' } as const;
const USUAL_CAPACITY = { refrigerator: 110, smoker: 4, tub: 2 } as const;

/** What the house has: each store with its size, and when it is out of order. */
export function StoresFields({ resources, now, onChange }: { resources: readonly Resource[]; now: number; onChange: (resources: Resource[]) => void }) {
  const set = (id: string, part: Partial<Resource>) => onChange(resources.map((other) => (other.id === id ? { ...other, ...part } : other)));
  const add = (kind: Resource['kind']) => {
    const count = resources.filter((other) => other.kind === kind).length + 1;
    const name = count === 1 ? KINDS[kind] : `${KINDS[kind]} ${count}`;
    onChange([...resources, { id: freeId(kind, resources), name, kind, capacity: USUAL_CAPACITY[kind] }]);
  };
  return (
    <div className="stores">
      <span className="label">Stores</span>
      {resources.map((resource) => (
        <fieldset key={resource.id} className="store">
          <legend className="sr">{resource.name}</legend>
          <div className="store-row">
            <label className="field">
              <span className="label">Name</span>
              <input className="box" maxLength={40} value={resource.name} onChange={(event) => set(resource.id, { name: event.target.value })} />
            </label>
            <NumberField
              label={`${resource.name} holds`}
              {...(resource.kind === 'refrigerator' ? { quantity: 'room' as const } : { sign: STORE_UNITS[resource.kind] })}
              value={resource.capacity}
              onChange={(capacity) => set(resource.id, { capacity: capacity ?? Number.NaN })}
            />
            <button
              type="button"
              className="btn quiet"
              aria-label={`Remove ${resource.name}`}
              onClick={() => onChange(resources.filter(({ id }) => id !== resource.id))}
            >
              Remove
            </button>
          </div>
          {(resource.closed ?? []).map((one, i) => (
            <ClosedRow
              key={i}
              name={resource.name}
              closed={one}
              onChange={(next) =>
                set(resource.id, { closed: (resource.closed ?? []).flatMap((other, k) => (k === i ? (next === null ? [] : [next]) : [other])) })
              }
            />
          ))}
          <button
            type="button"
            className="lnk"
            aria-label={`${resource.name} is out of order for a time`}
            onClick={() => {
              const from = Math.ceil(now / HOUR_MS) * HOUR_MS;
              const closed = { from: new Date(from).toISOString(), to: new Date(from + 24 * HOUR_MS).toISOString(), why: '' };
              set(resource.id, { closed: [...(resource.closed ?? []), closed] });
            }}
          >
            Out of order for a time
          </button>
        </fieldset>
      ))}
      <div className="calendar-acts">
        {(Object.keys(KINDS) as Resource['kind'][]).map((kind) => (
          <button key={kind} type="button" className="btn quiet" onClick={() => add(kind)}>
            Add {ADDED[kind]}
          </button>
        ))}
      </div>
    </div>
  );
}

type Closed = NonNullable<Resource['closed']>[number];

function ClosedRow({ name, closed, onChange }: { name: string; closed: Closed; onChange: (closed: Closed | null) => void }) {
  const instant = (text: string) => (dayjs(text).isValid() ? dayjs(text).toISOString() : '');
  return (
    <div className="store-closed">
      <label className="field">
        <span className="label">Out of order from</span>
        <input
          className="box"
          type="datetime-local"
          value={closed.from === '' ? '' : fieldTime(closed.from)}
          onChange={(event) => onChange({ ...closed, from: instant(event.target.value) })}
        />
      </label>
      <label className="field">
        <span className="label">until</span>
        <input
          className="box"
          type="datetime-local"
          value={closed.to === '' ? '' : fieldTime(closed.to)}
          onChange={(event) => onChange({ ...closed, to: instant(event.target.value) })}
        />
      </label>
      <label className="field">
        <span className="label">Why</span>
        <input className="box" maxLength={80} value={closed.why} onChange={(event) => onChange({ ...closed, why: event.target.value })} />
      </label>
      <button type="button" className="btn quiet" aria-label={`${name} is in order after all`} onClick={() => onChange(null)}>
        Remove
      </button>
    </div>
  );
}

function freeId(kind: string, resources: readonly Resource[]): string {
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? kind : `${kind}-${n}`;
    if (!resources.some((other) => other.id === id)) return id;
  }
}
