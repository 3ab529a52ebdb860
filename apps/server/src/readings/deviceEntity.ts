import type { DeviceKind, Weight } from '@bunkhouse/api';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A device that hands readings in, known by its token. */
@Entity({ name: 'device' })
export class DeviceEntity {
  @PrimaryColumn('uuid', { primaryKeyConstraintName: 'device_pkey' })
  id: string;

  @Column('text')
  name: string;

  @Column('text')
  kind: DeviceKind;

  @Column('jsonb')
  channels: { channel: number; name: string }[];

  /** the refrigerator that its logger hangs in, by its id in the house's plan */
  @Column('text', { nullable: true })
  store: string | null;

  /** what a scale showed last */
  @Column('jsonb', { nullable: true })
  weight: Weight | null;

  @Column('boolean')
  simulated: boolean;

  /** SHA-256 of the token; null when it was ended */
  @Column('bytea', { name: 'token_hash', nullable: true })
  tokenHash: Buffer | null;

  @Column('text', { name: 'created_by' })
  createdBy: string;

  @Column('timestamptz', { name: 'created_at' })
  createdAt: Date;

  @Column('timestamptz', { name: 'heard_at', nullable: true })
  heardAt: Date | null;
}
