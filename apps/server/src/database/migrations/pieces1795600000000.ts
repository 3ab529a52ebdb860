import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A batch may be a part that was cut from another: from which, and after which entry of its log. */
export class Pieces1795600000000 implements MigrationInterface {
  name = 'Pieces1795600000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(`ALTER TABLE batch ADD COLUMN cut_from uuid CONSTRAINT batch_cut_from_fkey REFERENCES batch (id), ADD COLUMN cut_after int`);
    await query.query(`ALTER TABLE batch ADD CONSTRAINT batch_cut_check CHECK ((cut_from IS NULL) = (cut_after IS NULL) AND cut_from IS DISTINCT FROM id)`);
    await query.query(`CREATE INDEX batch_cut_from ON batch (cut_from) WHERE cut_from IS NOT NULL`);
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`ALTER TABLE batch DROP COLUMN cut_from, DROP COLUMN cut_after`);
  }
}
