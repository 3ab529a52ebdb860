import { MINUTE_MS } from '../clock/spans.js';
import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import type { Hold, Resource, SchedulableBatch, SchedulableStep } from './scheduleTypes.js';
import { requireHours, workSpans, type WorkingHours } from './workingHours.js';
import { inputSays } from '../say/english/inputs.js';

/** Plans are made to the quarter of an hour. */
export const SLOT_MIN = 15;
export const SLOT_MS = SLOT_MIN * MINUTE_MS;
/** So far ahead is planned, days. */
const MOST_DAYS = 400;

/** Jobs of a batch in slots after the beginning of the timeline, by step. */
export type Times = ReadonlyMap<string, number>;

/** What is used of everything, slot by slot, and when somebody works. */
export class Timeline {
  /** ms of slot 0 */
  readonly from: number;
  readonly slots: number;
  /** 1 where somebody works */
  readonly open: Uint8Array;
  /** batches that keep hands */
  readonly busy: Uint16Array;
  private readonly used = new Map<string, Float64Array>();
  /** 1 where a store is out of order; only of those that ever are */
  private readonly closed = new Map<string, Uint8Array>();
  /** by resource and program */
  private readonly programs = new Map<string, Map<string, Float64Array>>();

  constructor(
    readonly resources: readonly Resource[],
    readonly hours: WorkingHours,
    now: number,
    until: number,
    /** how much more than usual it weighs that jobs move */
    readonly steadiness = 1,
  ) {
    requireHours(hours);
    if (!Number.isFinite(now)) throw new InputError('now', inputSays('no-now'));
    this.from = Math.floor(now / SLOT_MS) * SLOT_MS;
    this.slots = Math.min(MOST_DAYS * 96, Math.max(96, Math.ceil((until - this.from) / SLOT_MS)));
    this.open = new Uint8Array(this.slots);
    this.busy = new Uint16Array(this.slots);
    for (const span of workSpans(hours, this.from, this.from + this.slots * SLOT_MS))
      this.open.fill(1, this.clip(this.slotOf(span.from)), this.clip(this.slotOf(span.to)));
    for (const resource of resources) {
      requireNumber(`resources.${resource.id}.capacity`, resource.capacity, { above: 0, max: 1e6 });
      if (this.used.has(resource.id)) throw new InputError('resources', inputSays('resource-named-twice', { name: resource.id }));
      this.used.set(resource.id, new Float64Array(this.slots));
      this.programs.set(resource.id, new Map());
      if (resource.closed !== undefined && resource.closed.length > 0) this.closed.set(resource.id, this.slotsOf(resource.closed, resource.name));
    }
  }

  private slotsOf(spans: readonly { from: string; to: string }[], name: string): Uint8Array {
    const found = new Uint8Array(this.slots);
    for (const { from, to } of spans) {
      const [begins, ends] = [Date.parse(from), Date.parse(to)];
      if (!(ends > begins)) throw new InputError('resources', inputSays('out-of-order-backwards', { name }));
      found.fill(1, this.clip(Math.floor((begins - this.from) / SLOT_MS)), this.clip(Math.ceil((ends - this.from) / SLOT_MS)));
    }
    return found;
  }

  closedOf(resource: string): Uint8Array | undefined {
    return this.closed.get(resource);
  }

  slotOf(at: number): number {
    return Math.round((at - this.from) / SLOT_MS);
  }

  instantOf(slot: number): number {
    return this.from + slot * SLOT_MS;
  }

  private clip(slot: number): number {
    return Math.min(this.slots, Math.max(0, slot));
  }

  usedOf(resource: string): Float64Array {
    const used = this.used.get(resource);
    if (used === undefined) throw new InputError('holds', inputSays('no-such-resource', { resource }));
    return used;
  }

  /** What others than a program use of a chamber. */
  othersOf(resource: string, program: string): Float64Array[] {
    return [...(this.programs.get(resource) ?? [])].flatMap(([other, used]) => (other === program ? [] : [used]));
  }

  /** What each program uses of a chamber. */
  programsOf(resource: string): Float64Array[] {
    return [...(this.programs.get(resource) ?? new Map<string, Float64Array>()).values()];
  }

  /** Books a batch, or takes it out again. */
  book(batch: SchedulableBatch, times: Times, sign: 1 | -1): void {
    for (const hold of batch.holds) {
      const [from, until] = [this.clip(times.get(hold.from) ?? 0), this.clip(times.get(hold.until) ?? 0)];
      const used = this.usedOf(hold.resource);
      for (let slot = from; slot < until; slot += 1) used[slot] = (used[slot] ?? 0) + sign * hold.amount;
      if (hold.program === undefined) continue;
      const programs = this.programs.get(hold.resource);
      const own = programs?.get(hold.program) ?? new Float64Array(this.slots);
      programs?.set(hold.program, own);
      for (let slot = from; slot < until; slot += 1) own[slot] = (own[slot] ?? 0) + sign;
    }
    for (const slot of this.handsOf(batch, times)) this.busy[slot] = (this.busy[slot] ?? 0) + sign;
  }

  /** Fills a store for a time, or frees it again. */
  block(resource: string, from: number, to: number, sign: 1 | -1): void {
    const used = this.usedOf(resource);
    const capacity = this.resources.find(({ id }) => id === resource)?.capacity ?? 0;
    for (let slot = this.clip(from); slot < this.clip(to); slot += 1) used[slot] = (used[slot] as number) + sign * capacity;
  }

  /** The slots at which a batch keeps somebody: one pair of hands does all its jobs. */
  private handsOf(batch: SchedulableBatch, times: Times): Set<number> {
    const kept = new Set<number>();
    for (const step of batch.steps) {
      const from = times.get(step.id);
      if (step.doneAt !== undefined || from === undefined) continue;
      for (let slot = this.clip(from); slot < this.clip(from + handsSlots(step)); slot += 1) kept.add(slot);
    }
    return kept;
  }

  /** What holding so much would be too much, summed up to each slot; looked at from one slot to another only. Null where it never is. */
  overloadOf(hold: Hold, from = 0, until = this.slots): Float64Array | null {
    const used = this.usedOf(hold.resource);
    const capacity = this.resources.find(({ id }) => id === hold.resource)?.capacity ?? 0;
    const others = hold.program === undefined ? [] : this.othersOf(hold.resource, hold.program);
    const free = capacity * (1 + 1e-9) - hold.amount;
    const [first, last] = [this.clip(from), this.clip(until)];
    const closed = this.closed.get(hold.resource);
    let sums: Float64Array | null = null;
    let sum = 0;
    for (let slot = first; slot < last; slot += 1) {
      const here = used[slot] as number;
      if (here > free) sum += 1 + (here - free) / capacity;
      if (closed !== undefined && closed[slot] === 1) sum += 1;
      if (here > 0) for (const other of others) if ((other[slot] as number) > 0) sum += 1;
      if (sum > 0) {
        sums ??= new Float64Array(this.slots + 1);
        sums[slot + 1] = sum;
      }
    }
    return sums?.fill(sum, last) ?? null;
  }

  /** Sum of something between two slots. */
  between(sums: Float64Array | null, from: number, until: number): number {
    return sums === null || until <= from ? 0 : (sums[this.clip(until)] ?? 0) - (sums[this.clip(from)] ?? 0);
  }
}

export const handsSlots = (step: SchedulableStep): number => Math.max(1, Math.ceil(step.handsMin / SLOT_MIN));
