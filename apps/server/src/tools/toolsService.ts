import { isDeepStrictEqual } from 'node:util';
import { Injectable, NotFoundException } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { serverSays, toToolReading, toToolSize, type ToolCheckRequest, type ToolRequest, type ToolResponse } from '@bunkhouse/api';
import { checkFaults, trueReading, type HandThermometer, type ToolCheck, type ToolSize, MINUTE_MS } from '@bunkhouse/core';
import { In, type DataSource, type EntityManager } from 'typeorm';
import { Clock } from '../clock.js';
import { overtaken, refused } from '../errors/refusals.js';
import { DeviceEntity } from '../readings/deviceEntity.js';
import { ToolCheckEntity } from './toolCheckEntity.js';
import { ToolEntity } from './toolEntity.js';

/** A check is written down on the day, not foreseen, ms. */
const AHEAD_MS = 2 * MINUTE_MS;

/** What a channel truly read where it handed in so much at an instant, ms. */
export type ChannelCorrection = (C: number, atMs: number) => number;

/** Tools, their checks, and what the checks make of a reading. */
@Injectable()
export class ToolsService {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly clock: Clock,
  ) {}

  async all(): Promise<ToolResponse[]> {
    const tools = await this.dataSource.getRepository(ToolEntity).find({ order: { at: 'ASC', id: 'ASC' } });
    const checks = await checksOf(this.dataSource.manager, tools);
    return tools.map(({ at, ...tool }) => ({ ...tool, at: at.toISOString(), checks: checks.get(tool.id) ?? [] }));
  }

  /** Keeps a tool, or changes it. What kind it is cannot change, nor what its checks were read against. */
  async keep(request: ToolRequest): Promise<ToolResponse[]> {
    const tools = this.dataSource.getRepository(ToolEntity);
    const size = toToolSize(request);
    const before = await tools.findOneBy({ id: request.id });
    if (before !== null && before.size.kind !== size.kind)
      throw refused([{ field: 'kind', ...serverSays('tool-other-kind', { was: before.size.kind, kind: size.kind }) }]);
    if (before !== null && basisOf(before.size) !== basisOf(size) && (await this.dataSource.getRepository(ToolCheckEntity).existsBy({ toolId: request.id })))
      throw refused([{ field: 'entry', ...serverSays('tool-was-checked') }]);
    if (size.kind === 'thermometer') await this.requireFreeChannel(request, size);
    await tools.save({
      id: request.id,
      name: request.name.trim(),
      size,
      putAway: request.putAway,
      by: request.by.trim(),
      at: before?.at ?? new Date(this.clock.now()),
    });
    return this.all();
  }

  /** Writes a check down. The same id twice writes once. */
  async check(toolId: string, request: ToolCheckRequest): Promise<ToolResponse[]> {
    const tool = await this.dataSource.getRepository(ToolEntity).findOneBy({ id: toolId });
    if (tool === null) throw new NotFoundException(serverSays('no-such-tool'));
    const reading = toToolReading(tool.size.kind, request);
    const faults = checkFaults(tool.size, reading);
    if (faults.length > 0) throw refused(faults);
    if (Date.parse(request.at) > this.clock.now() + AHEAD_MS) throw refused([{ field: 'at', ...serverSays('time-to-come') }]);
    const checks = this.dataSource.getRepository(ToolCheckEntity);
    const row = { id: request.id, toolId, reading, by: request.by.trim(), at: new Date(request.at) };
    await checks.createQueryBuilder().insert().values(row).orIgnore().execute();
    const written = await checks.findOneByOrFail({ id: request.id });
    if (written.toolId !== toolId || !isDeepStrictEqual(written.reading, reading)) throw overtaken([{ field: 'id', ...serverSays('check-id-taken') }]);
    return this.all();
  }

  /** A thermometer that temperatures are read with by hand. */
  async thermometer(manager: EntityManager, id: string): Promise<HandThermometer> {
    const tool = await manager.getRepository(ToolEntity).findOneBy({ id });
    if (tool?.size.kind !== 'thermometer') throw refused([{ field: 'readWith', ...serverSays('no-such-thermometer') }]);
    return { id, name: tool.name, size: tool.size, checks: (await checksOf(manager, [tool])).get(id) ?? [] };
  }

  /** What corrects each channel that a checked thermometer hangs on, by `device:channel`. */
  async corrections(manager: EntityManager, devices: readonly string[]): Promise<ReadonlyMap<string, ChannelCorrection>> {
    const rows = await manager.query<ToolEntity[]>(`SELECT id, size FROM tool WHERE size->>'device' = ANY($1) ORDER BY put_away DESC, at`, [
      [...new Set(devices)],
    ]);
    const checks = await checksOf(manager, rows);
    return new Map(
      rows.flatMap(({ id, size }) => {
        const own = checks.get(id) ?? [];
        if (size.kind !== 'thermometer' || own.length === 0) return [];
        return [[`${size.device}:${size.channel}`, (C: number, atMs: number) => trueReading(size, own, C, atMs)] as const];
      }),
    );
  }

  private async requireFreeChannel({ id, putAway }: ToolRequest, { device, channel }: Extract<ToolSize, { kind: 'thermometer' }>): Promise<void> {
    if (device === undefined) return;
    const found = await this.dataSource.getRepository(DeviceEntity).findOneBy({ id: device });
    if (found === null || !found.channels.some((one) => one.channel === channel)) throw refused([{ field: 'device', ...serverSays('no-such-channel') }]);
    const [other] = await this.dataSource.query<{ name: string }[]>(
      `SELECT name FROM tool WHERE size->>'device' = $1 AND (size->>'channel')::int = $2 AND id <> $3 AND NOT put_away`,
      [device, channel, id],
    );
    if (other !== undefined && !putAway) throw refused([{ field: 'device', ...serverSays('channel-taken', { name: other.name }) }]);
  }
}

/** What a tool's checks were read against: as long as this stays, they hold. */
function basisOf(size: ToolSize): string {
  if (size.kind === 'hydrometer') return `${size.scale} ${size.calibrationC}`;
  return size.kind === 'thermometer' ? `${size.device ?? ''} ${size.channel ?? ''}` : '';
}

async function checksOf(manager: EntityManager, tools: readonly { id: string }[]): Promise<Map<string, ToolCheck[]>> {
  const rows = await manager.getRepository(ToolCheckEntity).find({ where: { toolId: In(tools.map(({ id }) => id)) }, order: { at: 'ASC', id: 'ASC' } });
  const byTool = new Map<string, ToolCheck[]>();
  for (const { toolId, at, ...check } of rows)
    byTool.set(toolId, [...(byTool.get(toolId) ?? []), { id: check.id, by: check.by, at: at.toISOString(), reading: check.reading }]);
  return byTool;
}
