import { isDeepStrictEqual } from 'node:util';
import { ForbiddenException, Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { serverSays, may, rightToLog, toDraft, type BatchResponse, type LogEntryRequest, type Role } from '@bunkhouse/api';
import { checkEntry, readEvent, readValues, replay, type EntryDraft, type EntryFault, type LogEntry, type Message } from '@bunkhouse/core';
import type { DataSource, EntityManager } from 'typeorm';
import { BatchEntity } from '../batches/batchEntity.js';
import { BatchesService } from '../batches/batchesService.js';
import { Clock } from '../clock.js';
import { CrewService } from '../crew/crewService.js';
import type { Who } from '../crew/sessionsService.js';
import { noSuchBatch, overtaken, refused } from '../errors/refusals.js';
import { LedgerService } from '../ledger/ledgerService.js';
import { LotsService } from '../lots/lotsService.js';
import { ToolsService } from '../tools/toolsService.js';
import { LogEntryEntity } from './logEntryEntity.js';

/** Writes the log. One writer at a time for a batch: the batch's row is locked while an entry is checked and written. */
@Injectable()
export class LogService {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly batches: BatchesService,
    private readonly ledger: LedgerService,
    private readonly lots: LotsService,
    private readonly tools: ToolsService,
    private readonly crew: CrewService,
    private readonly clock: Clock,
  ) {}

  /**
   * Writes an entry and answers the batch as it is then. The same id twice writes once.
   *
   * @param now ms; the instant of writing
   */
  write(batchId: string, request: LogEntryRequest, now = this.clock.now()): Promise<BatchResponse> {
    return this.writeAll(batchId, [{ request, now }]);
  }

  /** The same, signed: what somebody else of the crew logged on a device without a connection stays theirs, with who handed it in. */
  async writeBy({ name, role }: Who, batchId: string, request: LogEntryRequest): Promise<BatchResponse> {
    const said = request.by.trim();
    const theirs = said !== name && (await this.crew.knows(said));
    return this.writeAll(batchId, [{ request: { ...request, by: theirs ? said : name }, now: this.clock.now() }], {
      role,
      ...(theirs ? { sentBy: name } : {}),
    });
  }

  /** Writes entries in their order, all or none of them. Each is checked against the log with those before it. */
  writeAll(batchId: string, writings: readonly { request: LogEntryRequest; now: number }[], { role, sentBy }: Sender = {}): Promise<BatchResponse> {
    return this.dataSource.transaction(async (manager) => {
      const before = await this.locked(manager, batchId);
      let batch = before;
      for (const { request, now } of writings) {
        const said: EntryDraft = { ...toDraft(request), ...(sentBy === undefined ? {} : { sentBy }) };
        if (role !== undefined) requireRight(role, batch, said);
        if (await this.isWritten(manager, batch, said)) continue;
        const draft = request.readWith === undefined ? said : await this.trulyRead(manager, batch, said, request.readWith);
        const entry = checked(batch, draft, request.seen, now);
        await this.lots.check(manager, draft);
        await manager.getRepository(LogEntryEntity).insert(row(batchId, entry));
        await this.batches.cutOff(manager, batch, entry, request);
        batch = { ...batch, entries: [...batch.entries, entry] };
      }
      if (batch === before) return batch;
      const last = writings.at(-1)?.now ?? this.clock.now();
      await this.ledger.rebuild(manager, batch, last);
      // What is put right before a cut is put right for every part.
      for (const part of await this.batches.cutFrom(manager, batchId)) await this.ledger.rebuild(manager, part, last);
      return batch;
    });
  }

  /** Whether this very entry was written before; one of the same id that says something else is refused. */
  private async isWritten(manager: EntityManager, batch: BatchResponse, draft: EntryDraft): Promise<boolean> {
    const written = batch.entries.find((entry) => entry.id === draft.id);
    if (written === undefined) {
      if (!(await manager.getRepository(LogEntryEntity).existsBy({ id: draft.id }))) return false;
      throw overtaken([{ field: 'id', ...serverSays('entry-elsewhere') }]);
    }
    if (!saysTheSame(asShown(written), draft)) throw overtaken([{ field: 'entry', ...serverSays('logged-otherwise') }]);
    return true;
  }

  /** The draft with its temperatures corrected by the thermometer that showed them, and with what it showed. */
  private async trulyRead(manager: EntityManager, batch: BatchResponse, draft: EntryDraft, tool: string): Promise<EntryDraft> {
    if (draft.kind !== 'done' && draft.kind !== 'pit') return draft;
    const thermometer = await this.tools.thermometer(manager, tool);
    const at = Date.parse(draft.at);
    if (draft.kind === 'pit') return { ...draft, ...readEvent(thermometer, draft.event, at) };
    const step = replay(batch, at).step(draft.stepId);
    return { ...draft, ...readValues(thermometer, step?.spec.inputs ?? [], draft.values, at) };
  }

  private async locked(manager: EntityManager, id: string): Promise<BatchResponse> {
    const batch = await manager.getRepository(BatchEntity).findOne({ where: { id }, lock: { mode: 'pessimistic_write' } });
    if (batch === null) throw noSuchBatch();
    const [whole] = await this.batches.withLogs(manager, [batch]);
    if (whole === undefined) throw noSuchBatch();
    return whole;
  }
}

/** Who sends an entry, where it is a person at a device. */
interface Sender {
  role?: Role;
  sentBy?: string;
}

/** A helper says what was done; what was decided is decided, and taken back, by a cook. */
function requireRight(role: Role, { entries }: BatchResponse, draft: EntryDraft): void {
  const behind = (id: string): LogEntry | undefined => {
    const entry = entries.find((other) => other.id === id);
    return entry !== undefined && 'replaces' in entry ? behind(entry.replaces) : entry;
  };
  const first = 'replaces' in draft ? (behind(draft.replaces) ?? draft) : draft;
  if (!may(role, rightToLog(first))) throw new ForbiddenException(serverSays('not-yours-plan'));
}

/** The entry that a draft becomes, or the refusal. */
function checked(batch: BatchResponse, draft: EntryDraft, seen: number | undefined, now: number): LogEntry {
  const overtakenBy = overtaking(batch.entries, draft, seen);
  if (overtakenBy !== null) throw overtaken([{ field: 'entry', ...overtakenBy }]);
  const faults = checkEntry(batch, draft, now);
  if (faults.length > 0) throw alreadyLogged(faults) ? overtaken(faults) : refused(faults);
  return { ...draft, seq: (batch.entries.at(-1)?.seq ?? 0) + 1, recordedAt: new Date(now).toISOString() };
}

const row = (batchId: string, entry: LogEntry): LogEntryEntity =>
  Object.assign(new LogEntryEntity(), {
    id: entry.id,
    batchId,
    seq: entry.seq,
    kind: entry.kind,
    body: entry,
    at: new Date(entry.at),
    recordedAt: new Date(entry.recordedAt),
  });

/** An entry with what its thermometer showed, as it was sent. */
function asShown(entry: LogEntry): LogEntry {
  if (!('read' in entry) || entry.read === undefined) return entry;
  const { shown } = entry.read;
  if (entry.kind === 'done') return { ...entry, values: { ...entry.values, ...shown } };
  if (entry.kind === 'pit' && entry.event.act === 'bath') return { ...entry, event: { ...entry.event, waterC: shown.water ?? entry.event.waterC } };
  return entry.kind === 'pit' && entry.event.act === 'check' ? { ...entry, event: { ...entry.event, placesC: Object.values(shown) } } : entry;
}

/** Whether an entry that comes again says what it said the first time. Its time may differ: the second try is later. */
function saysTheSame(written: LogEntry, draft: EntryDraft): boolean {
  const said = (entry: LogEntry | EntryDraft) => {
    const { kind, reason, ...rest } = entry;
    return {
      kind,
      reason,
      stepId: 'stepId' in rest ? rest.stepId : null,
      replaces: 'replaces' in rest ? rest.replaces : null,
      values: 'values' in rest ? rest.values : null,
      changes: 'changes' in rest ? rest.changes : null,
      event: 'event' in rest ? rest.event : null,
      draw: 'draw' in rest ? rest.draw : null,
      how: 'how' in rest ? rest.how : null,
      vessels: 'vessels' in rest ? rest.vessels : null,
    };
  };
  return isDeepStrictEqual(said(written), said(draft));
}

/** Whether the step was logged, or the plan changed, by somebody after the sender last looked. */
function overtaking(entries: readonly LogEntry[], draft: EntryDraft, seen: number | undefined): Message | null {
  if (seen === undefined) return null;
  if (draft.kind === 'replanned') {
    const plans = new Set(entries.flatMap((entry) => (entry.kind === 'replanned' ? [entry.id] : [])));
    const earlier = entries.find((entry) => entry.seq > seen && (entry.kind === 'replanned' || (entry.kind === 'withdrawn' && plans.has(entry.replaces))));
    return earlier === undefined ? null : serverSays('plan-changed-since', { by: earlier.by });
  }
  if (!('stepId' in draft)) return null;
  const other = entries.find((entry) => entry.seq > seen && 'stepId' in entry && entry.stepId === draft.stepId);
  return other === undefined ? null : serverSays('logged-since', { by: other.by });
}

const alreadyLogged = (faults: EntryFault[]): boolean => faults.some(({ code }) => code === 'was-logged' || code === 'was-left-out');
