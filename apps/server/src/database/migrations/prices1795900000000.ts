import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What a lot cost, in the house's money. */
export class Prices1795900000000 implements MigrationInterface {
  name = 'Prices1795900000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(`ALTER TABLE lot ADD COLUMN price double precision`);
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`ALTER TABLE lot DROP COLUMN price`);
  }
}
