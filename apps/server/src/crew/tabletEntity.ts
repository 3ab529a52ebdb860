import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A device that is put up for the crew. */
@Entity({ name: 'tablet' })
export class TabletEntity {
  @PrimaryColumn('uuid', { primaryKeyConstraintName: 'tablet_pkey' })
  id: string;

  @Column('text')
  name: string;

  @Column('bytea', { name: 'token_hash' })
  tokenHash: Buffer;

  @Column('text', { name: 'made_by' })
  madeBy: string;

  @Column('timestamptz', { name: 'made_at' })
  madeAt: Date;

  @Column('timestamptz', { name: 'seen_at', nullable: true })
  seenAt: Date | null;
}
