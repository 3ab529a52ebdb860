import type { MigrationInterface, QueryRunner } from 'typeorm';

const KEPT = ['tool_check', 'picture', 'picture_reading'] as const;

/** Tools with their checks, pictures of cut faces with what was read of them. A check, a picture and a reading are never changed nor removed. */
export class Tools1795800000000 implements MigrationInterface {
  name = 'Tools1795800000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(
      `CREATE TABLE tool (id uuid CONSTRAINT tool_pkey PRIMARY KEY, name text NOT NULL, size jsonb NOT NULL, put_away boolean NOT NULL, by text NOT NULL, at timestamptz NOT NULL)`,
    );
    await query.query(`CREATE UNIQUE INDEX tool_channel ON tool ((size->>'device'), (size->>'channel')) WHERE size ? 'device' AND NOT put_away`);
    await query.query(
      `CREATE TABLE tool_check (id uuid CONSTRAINT tool_check_pkey PRIMARY KEY, tool_id uuid NOT NULL CONSTRAINT tool_check_tool REFERENCES tool, reading jsonb NOT NULL, by text NOT NULL, at timestamptz NOT NULL)`,
    );
    await query.query(`CREATE INDEX tool_check_of ON tool_check (tool_id, at)`);
    await query.query(
      `CREATE TABLE picture (id uuid CONSTRAINT picture_pkey PRIMARY KEY, batch_id uuid NOT NULL CONSTRAINT picture_batch REFERENCES batch, piece text NOT NULL, width int NOT NULL, height int NOT NULL, jpeg bytea NOT NULL, by text NOT NULL, at timestamptz NOT NULL)`,
    );
    await query.query(`CREATE INDEX picture_of ON picture (batch_id, at)`);
    await query.query(
      `CREATE TABLE picture_reading (id uuid CONSTRAINT picture_reading_pkey PRIMARY KEY, picture_id uuid NOT NULL CONSTRAINT picture_reading_picture REFERENCES picture, marks jsonb NOT NULL, shares jsonb NOT NULL, by text NOT NULL, at timestamptz NOT NULL)`,
    );
    await query.query(`CREATE INDEX picture_reading_of ON picture_reading (picture_id, at)`);
    for (const table of KEPT) {
      await query.query(`CREATE TRIGGER ${table}_append_only BEFORE UPDATE OR DELETE ON ${table} FOR EACH ROW EXECUTE FUNCTION refuse_change()`);
      await query.query(`CREATE TRIGGER ${table}_no_truncate BEFORE TRUNCATE ON ${table} FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()`);
    }
  }

  async down(query: QueryRunner): Promise<void> {
    for (const table of ['picture_reading', 'picture', 'tool_check', 'tool']) await query.query(`DROP TABLE ${table}`);
  }
}
