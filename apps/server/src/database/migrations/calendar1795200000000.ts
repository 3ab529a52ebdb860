import type { MigrationInterface, QueryRunner } from 'typeorm';

/** When the house works and what it has. */
export class Calendar1795200000000 implements MigrationInterface {
  name = 'Calendar1795200000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(
      `CREATE TABLE house_plan (id int CONSTRAINT house_plan_pkey PRIMARY KEY CONSTRAINT house_plan_one CHECK (id = 1), plan jsonb NOT NULL, changed_by text NOT NULL, changed_at timestamptz NOT NULL)`,
    );
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`DROP TABLE house_plan`);
  }
}
