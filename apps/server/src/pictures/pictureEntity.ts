import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A picture of a cut face, turned and made small. Rows are never changed nor removed: a trigger of the database sees to it. */
@Entity({ name: 'picture' })
export class PictureEntity {
  @PrimaryColumn('uuid', { primaryKeyConstraintName: 'picture_pkey' })
  id: string;

  @Column('uuid', { name: 'batch_id' })
  batchId: string;

  @Column('text')
  piece: string;

  @Column('int')
  width: number;

  @Column('int')
  height: number;

  @Column('bytea', { select: false })
  jpeg: Buffer;

  @Column('text')
  by: string;

  @Column('timestamptz')
  at: Date;
}
