import type { Role } from '@bunkhouse/api';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** Somebody who works here or looks in. Never removed: what they logged bears their name. */
@Entity({ name: 'person' })
export class PersonEntity {
  @PrimaryColumn('uuid', { primaryKeyConstraintName: 'person_pkey' })
  id: string;

  @Column('text')
  name: string;

  @Column('text')
  role: Role;

  @Column('text', { name: 'pin_hash', nullable: true })
  pinHash: string | null;

  @Column('text', { name: 'password_hash', nullable: true })
  passwordHash: string | null;

  @Column('timestamptz', { name: 'ends_at', nullable: true })
  endsAt: Date | null;

  @Column('boolean', { name: 'put_away' })
  putAway: boolean;

  /** tries to sign in since the last that succeeded */
  @Column('int', { default: 0 })
  tries: number;

  /** the next try is not looked at before */
  @Column('timestamptz', { name: 'wait_until', nullable: true })
  waitUntil: Date | null;

  @Column('text', { name: 'created_by' })
  createdBy: string;

  @Column('timestamptz', { name: 'created_at' })
  createdAt: Date;
}
