import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Lots of cure, salt, sugar, spice, meat and wood. What was taken from them stands in the logs. */
export class Lots1795700000000 implements MigrationInterface {
  name = 'Lots1795700000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(
      `CREATE TABLE lot (id uuid CONSTRAINT lot_pkey PRIMARY KEY, kind text NOT NULL, name text NOT NULL, number text NOT NULL, supplier text NOT NULL, received_on date NOT NULL, best_before date, amount_g double precision NOT NULL, put_away boolean NOT NULL, by text NOT NULL, at timestamptz NOT NULL)`,
    );
    await query.query(`CREATE INDEX log_entry_lot ON log_entry ((body->'draw'->>'lot')) WHERE kind = 'lot'`);
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`DROP INDEX log_entry_lot`);
    await query.query(`DROP TABLE lot`);
  }
}
