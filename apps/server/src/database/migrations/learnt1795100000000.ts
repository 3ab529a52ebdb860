import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What the house does not learn from, and a way to find quickly what it does. */
export class Learnt1795100000000 implements MigrationInterface {
  name = 'Learnt1795100000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(`CREATE TABLE left_out (id text CONSTRAINT left_out_pkey PRIMARY KEY, by text NOT NULL, at timestamptz NOT NULL)`);
    await query.query(
      `CREATE INDEX log_entry_observed ON log_entry (at DESC, batch_id) WHERE kind = 'done' AND body->>'stepId' IN ('pull', 'fry', 'soak-out')`,
    );
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`DROP INDEX log_entry_observed`);
    await query.query(`DROP TABLE left_out`);
  }
}
