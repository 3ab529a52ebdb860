import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { Injectable, NotFoundException } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { DeviceRequest, DeviceResponse, DeviceTokenResponse, Weight, WeightEvent, WeightRequest } from '@bunkhouse/api';
import { In, type DataSource } from 'typeorm';
import { Clock } from '../clock.js';
import { refused } from '../errors/refusals.js';
import { ToolsService } from '../tools/toolsService.js';
import { DeviceEntity } from './deviceEntity.js';
import { readBlock } from './readingBlock.js';
import { READINGS_CHANNEL } from './readingsChannel.js';
import { serverSays } from '@bunkhouse/api';

const TOKEN_BYTES = 24;
const MOST_DEVICES = 60;

export const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

/** The devices of the house and their tokens. */
@Injectable()
export class DevicesService {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly tools: ToolsService,
    private readonly clock: Clock,
  ) {}

  async all(): Promise<DeviceResponse[]> {
    const devices = await this.dataSource.getRepository(DeviceEntity).find({ order: { createdAt: 'ASC' } });
    const last = await this.lastOf(devices.map(({ id }) => id));
    return devices.map((device) => toResponse(device, last));
  }

  async add({ name, kind, channels, store, simulated = false, by }: DeviceRequest): Promise<DeviceTokenResponse> {
    if (new Set(channels.map(({ channel }) => channel)).size < channels.length) throw refused([{ field: 'channels', ...serverSays('channels-of-one-number') }]);
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    const devices = this.dataSource.getRepository(DeviceEntity);
    if ((await devices.count()) >= MOST_DEVICES) throw refused([{ field: 'name', ...serverSays('too-many-devices', { most: MOST_DEVICES }) }]);
    const device = await devices.save({
      id: randomUUID(),
      name: name.trim(),
      kind,
      channels: channels.map(({ channel, name: own }) => ({ channel, name: own.trim() })),
      store: kind === 'refrigerator' ? (store ?? null) : null,
      weight: null,
      simulated,
      tokenHash: hashOf(token),
      createdBy: by.trim(),
      createdAt: new Date(this.clock.now()),
      heardAt: null,
    });
    return { device: toResponse(device, new Map()), token };
  }

  /** A device of the made-up house: made once. Nobody has its token until it is renewed. */
  async keep({ id, name, kind, channels, store, simulated = false, by }: DeviceRequest & { id: string }): Promise<void> {
    const devices = this.dataSource.getRepository(DeviceEntity);
    if (await devices.existsBy({ id })) return;
    await devices.insert({
      id,
      name,
      kind,
      channels,
      store: store ?? null,
      weight: null,
      simulated,
      tokenHash: null,
      createdBy: by,
      createdAt: new Date(this.clock.now()),
      heardAt: null,
    });
  }

  /** A new token; the one before it ends. */
  async renew(id: string): Promise<DeviceTokenResponse> {
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    const devices = this.dataSource.getRepository(DeviceEntity);
    const device = await devices.findOneBy({ id });
    if (device === null) throw new NotFoundException(serverSays('no-such-device'));
    await devices.update({ id }, { tokenHash: hashOf(token) });
    return { device: toResponse(device, await this.lastOf([id])), token };
  }

  /** Its token ends; what it read stays. */
  async end(id: string): Promise<DeviceResponse> {
    const devices = this.dataSource.getRepository(DeviceEntity);
    const device = await devices.findOneBy({ id });
    if (device === null) throw new NotFoundException(serverSays('no-such-device'));
    await devices.update({ id }, { tokenHash: null });
    return toResponse(device, await this.lastOf([id]));
  }

  byId(id: string): Promise<DeviceEntity | null> {
    return this.dataSource.getRepository(DeviceEntity).findOneBy({ id });
  }

  /** The device behind a token, or null. */
  byToken(token: string): Promise<DeviceEntity | null> {
    return this.dataSource.getRepository(DeviceEntity).findOneBy({ tokenHash: hashOf(token) });
  }

  /** Keeps what a scale shows, and tells every server of it. */
  async weigh(device: DeviceEntity, { g, stable }: WeightRequest): Promise<void> {
    if (device.kind !== 'scale') throw refused([{ field: 'g', ...serverSays('no-scale') }]);
    const now = new Date(this.clock.now());
    const weight: Weight = { g: Math.round(g * 100) / 100, stable, at: now.toISOString() };
    await this.dataSource.transaction(async (manager) => {
      await manager.update(DeviceEntity, { id: device.id }, { weight, heardAt: now });
      const event: WeightEvent = { device: device.id, ...weight };
      await manager.query(`SELECT pg_notify($1, $2)`, [READINGS_CHANNEL, JSON.stringify(event)]);
    });
  }

  /** Those of some ids that there are. */
  async known(ids: readonly string[]): Promise<Set<string>> {
    const found = await this.dataSource.getRepository(DeviceEntity).find({ where: { id: In([...ids]) }, select: { id: true } });
    return new Set(found.map(({ id }) => id));
  }

  private async lastOf(ids: readonly string[]): Promise<Map<string, { at: string; C: number }>> {
    if (ids.length === 0) return new Map();
    const rows: { device_id: string; channel: number; from_at: Date; samples: Buffer }[] = await this.dataSource.query(
      `SELECT last.* FROM device, jsonb_array_elements(device.channels) AS own,
       LATERAL (SELECT device_id, channel, from_at, samples FROM reading_block
         WHERE device_id = device.id AND channel = (own->>'channel')::int ORDER BY from_at DESC LIMIT 1) AS last
       WHERE device.id = ANY($1)`,
      [ids],
    );
    const truly = await this.tools.corrections(this.dataSource.manager, ids);
    return new Map(
      rows.flatMap(({ device_id, channel, from_at, samples }) => {
        const sample = readBlock(from_at.getTime(), samples).at(-1);
        if (sample === undefined) return [];
        const key = `${device_id}:${channel}`;
        const C = truly.get(key)?.(sample.C, sample.at) ?? sample.C;
        return [[key, { at: new Date(sample.at).toISOString(), C: Math.round(C * 100) / 100 }] as const];
      }),
    );
  }
}

const toResponse = (device: DeviceEntity, last: ReadonlyMap<string, { at: string; C: number }>): DeviceResponse => ({
  id: device.id,
  name: device.name,
  kind: device.kind,
  channels: device.channels.map(({ channel, name }) => ({ channel, name, last: last.get(`${device.id}:${channel}`) ?? null })),
  store: device.store,
  weight: device.weight,
  simulated: device.simulated,
  createdBy: device.createdBy,
  createdAt: device.createdAt.toISOString(),
  heardAt: device.heardAt?.toISOString() ?? null,
});
