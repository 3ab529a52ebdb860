import type { FaceMarks, FaceShares } from '@bunkhouse/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** What was read of a picture between two marks. Rows are never changed nor removed; the last one counts. */
@Entity({ name: 'picture_reading' })
export class PictureReadingEntity {
  @PrimaryColumn('uuid', { primaryKeyConstraintName: 'picture_reading_pkey' })
  id: string;

  @Column('uuid', { name: 'picture_id' })
  pictureId: string;

  @Column('jsonb')
  marks: FaceMarks;

  @Column('jsonb')
  shares: FaceShares;

  @Column('text')
  by: string;

  @Column('timestamptz')
  at: Date;
}
