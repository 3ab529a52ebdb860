import { Injectable, NotFoundException } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { PictureReading, PictureReadingRequest, PictureRequest, PictureResponse } from '@bunkhouse/api';
import { faceShares, MINUTE_MS } from '@bunkhouse/core';
import { In, type DataSource, type EntityManager } from 'typeorm';
import { BatchesService } from '../batches/batchesService.js';
import { Clock } from '../clock.js';
import { overtaken, refused } from '../errors/refusals.js';
import { Darkroom } from './darkroom.js';
import { PictureEntity } from './pictureEntity.js';
import { PictureReadingEntity } from './pictureReadingEntity.js';
import { serverSays } from '@bunkhouse/api';

/** So many pictures of a batch are plenty. */
const MOST = 40;
const AHEAD_MS = 2 * MINUTE_MS;

/** Pictures of cut faces, and what is read of them. */
@Injectable()
export class PicturesService {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly batches: BatchesService,
    private readonly darkroom: Darkroom,
    private readonly clock: Clock,
  ) {}

  async of(batchId: string): Promise<PictureResponse[]> {
    await this.batches.one(batchId);
    const rows = await this.dataSource.getRepository(PictureEntity).find({ where: { batchId }, order: { at: 'ASC', id: 'ASC' } });
    const readings = await readingsOf(this.dataSource.manager, rows);
    return rows.map((row) => toResponse(row, readings.get(row.id)));
  }

  /** Keeps a picture, upright and small. The same id twice keeps one. */
  async keep(batchId: string, { id, piece, at, by }: PictureRequest, bytes: unknown): Promise<PictureResponse[]> {
    const { design } = await this.batches.one(batchId);
    if (!design.pieces.some(({ code }) => code === piece)) throw refused([{ field: 'piece', ...serverSays('batch-without-piece') }]);
    if (Date.parse(at) > this.clock.now() + AHEAD_MS) throw refused([{ field: 'at', ...serverSays('time-to-come') }]);
    const pictures = this.dataSource.getRepository(PictureEntity);
    const there = await pictures.findOneBy({ id });
    if (there !== null && (there.batchId !== batchId || there.piece !== piece)) throw overtaken([{ field: 'id', ...serverSays('picture-id-taken') }]);
    if (there !== null) return this.of(batchId);
    if ((await pictures.countBy({ batchId })) >= MOST) throw refused([{ field: 'picture', ...serverSays('pictures-enough', { most: MOST }) }]);
    if (!Buffer.isBuffer(bytes) || bytes.length === 0) throw refused([{ field: 'picture', ...serverSays('picture-missing') }]);
    const developed = await this.darkroom.develop(bytes);
    await pictures
      .createQueryBuilder()
      .insert()
      .values({ id, batchId, piece, by: by.trim(), at: new Date(at), ...developed })
      .orIgnore()
      .execute();
    return this.of(batchId);
  }

  async jpeg(id: string): Promise<Buffer> {
    const row = await this.dataSource.getRepository(PictureEntity).findOne({ where: { id }, select: { id: true, jpeg: true } });
    if (row === null) throw noSuchPicture();
    return row.jpeg;
  }

  /** Reads how much of a face is grey, between the marks of the cook. An aid, never a verdict. */
  async read(id: string, { id: readingId, by, meat, pink, grey }: PictureReadingRequest): Promise<PictureResponse[]> {
    const row = await this.dataSource.getRepository(PictureEntity).findOneBy({ id });
    if (row === null) throw noSuchPicture();
    const marks = { meat: { x: meat.x, y: meat.y, rx: meat.rx, ry: meat.ry }, pink: { x: pink.x, y: pink.y }, grey: { x: grey.x, y: grey.y } };
    const shares = faceShares(await this.darkroom.open(await this.jpeg(id)), marks);
    await this.dataSource
      .getRepository(PictureReadingEntity)
      .createQueryBuilder()
      .insert()
      .values({ id: readingId, pictureId: id, marks, shares, by: by.trim(), at: new Date(this.clock.now()) })
      .orIgnore()
      .execute();
    return this.of(row.batchId);
  }
}

const noSuchPicture = () => new NotFoundException(serverSays('no-such-picture'));

/** The last reading of each picture. */
async function readingsOf(manager: EntityManager, pictures: readonly { id: string }[]): Promise<ReadonlyMap<string, PictureReading & { id: string }>> {
  const rows = await manager
    .getRepository(PictureReadingEntity)
    .find({ where: { pictureId: In(pictures.map(({ id }) => id)) }, order: { at: 'ASC', id: 'ASC' } });
  return new Map(rows.map(({ id, pictureId, marks, shares, by, at }) => [pictureId, { id, marks, shares, by, at: at.toISOString() }]));
}

function toResponse({ id, batchId, piece, width, height, by, at }: PictureEntity, reading: (PictureReading & { id: string }) | undefined): PictureResponse {
  const own = reading === undefined ? null : { marks: reading.marks, shares: reading.shares, by: reading.by, at: reading.at };
  return { id, batchId, piece, width, height, by, at: at.toISOString(), reading: own };
}
