import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Batches, their append-only log, the Ledger's cache, the house. */
export class First1795000000000 implements MigrationInterface {
  name = 'First1795000000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(`CREATE SEQUENCE batch_number START 1`);
    await query.query(`
      CREATE TABLE batch (
        id uuid CONSTRAINT batch_pkey PRIMARY KEY,
        code text NOT NULL CONSTRAINT batch_code_key UNIQUE,
        design jsonb NOT NULL,
        process jsonb NOT NULL,
        created_by text NOT NULL,
        created_at timestamptz NOT NULL
      )`);
    await query.query(`
      CREATE TABLE log_entry (
        id uuid CONSTRAINT log_entry_pkey PRIMARY KEY,
        batch_id uuid NOT NULL CONSTRAINT log_entry_batch_fkey REFERENCES batch (id),
        seq int NOT NULL CONSTRAINT log_entry_seq_check CHECK (seq > 0),
        kind text NOT NULL,
        body jsonb NOT NULL,
        at timestamptz NOT NULL,
        recorded_at timestamptz NOT NULL,
        CONSTRAINT log_entry_batch_seq_key UNIQUE (batch_id, seq)
      )`);
    await query.query(`
      CREATE TABLE ledger_line (
        batch_id uuid CONSTRAINT ledger_line_pkey PRIMARY KEY CONSTRAINT ledger_line_batch_fkey REFERENCES batch (id),
        ended_at timestamptz NOT NULL,
        row jsonb NOT NULL
      )`);
    await query.query(`CREATE INDEX ledger_line_ended_at ON ledger_line (ended_at DESC)`);
    await query.query(
      `CREATE TABLE house (id int CONSTRAINT house_pkey PRIMARY KEY CONSTRAINT house_one CHECK (id = 1), name text NOT NULL, demo boolean NOT NULL, demo_from timestamptz, demo_whole boolean NOT NULL)`,
    );
    await query.query(`
      CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        RAISE EXCEPTION '% is append-only: correct it by a further entry', TG_TABLE_NAME USING ERRCODE = 'integrity_constraint_violation';
      END $$`);
    for (const table of ['log_entry', 'batch']) {
      await query.query(`CREATE TRIGGER ${table}_append_only BEFORE UPDATE OR DELETE ON ${table} FOR EACH ROW EXECUTE FUNCTION refuse_change()`);
      await query.query(`CREATE TRIGGER ${table}_no_truncate BEFORE TRUNCATE ON ${table} FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()`);
    }
  }

  async down(query: QueryRunner): Promise<void> {
    for (const table of ['ledger_line', 'log_entry', 'batch', 'house']) await query.query(`DROP TABLE ${table}`);
    await query.query(`DROP FUNCTION refuse_change`);
    await query.query(`DROP SEQUENCE batch_number`);
  }
}
