import { Column, Entity, PrimaryColumn } from 'typeorm';

/** Somebody is signed in at a device. */
@Entity({ name: 'session' })
export class SessionEntity {
  @PrimaryColumn('uuid', { primaryKeyConstraintName: 'session_pkey' })
  id: string;

  @Column('uuid', { name: 'person_id' })
  personId: string;

  /** SHA-256 of what the device's cookie says */
  @Column('bytea', { name: 'token_hash' })
  tokenHash: Buffer;

  @Column('text')
  by: 'pin' | 'password';

  @Column('uuid', { name: 'tablet_id', nullable: true })
  tabletId: string | null;

  @Column('text')
  device: string;

  @Column('timestamptz', { name: 'started_at' })
  startedAt: Date;

  /** when somebody last did something here; what a screen asks by itself does not count */
  @Column('timestamptz', { name: 'seen_at' })
  seenAt: Date;
}
