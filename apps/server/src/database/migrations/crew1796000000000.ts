import type { MigrationInterface, QueryRunner } from 'typeorm';

/** People, where they are signed in, the crew's tablets; how the house shows and keeps things. */
export class Crew1796000000000 implements MigrationInterface {
  name = 'Crew1796000000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(
      `CREATE TABLE person (id uuid CONSTRAINT person_pkey PRIMARY KEY, name text NOT NULL, role text NOT NULL, pin_hash text, password_hash text, ends_at timestamptz, put_away boolean NOT NULL, tries int NOT NULL DEFAULT 0, wait_until timestamptz, created_by text NOT NULL, created_at timestamptz NOT NULL)`,
    );
    // A name in the log is one person's for ever.
    await query.query(`CREATE UNIQUE INDEX person_name ON person (lower(name))`);
    await query.query(
      `CREATE TABLE tablet (id uuid CONSTRAINT tablet_pkey PRIMARY KEY, name text NOT NULL, token_hash bytea NOT NULL CONSTRAINT tablet_token UNIQUE, made_by text NOT NULL, made_at timestamptz NOT NULL, seen_at timestamptz)`,
    );
    await query.query(
      `CREATE TABLE session (id uuid CONSTRAINT session_pkey PRIMARY KEY, person_id uuid NOT NULL CONSTRAINT session_person REFERENCES person, token_hash bytea NOT NULL CONSTRAINT session_token UNIQUE, by text NOT NULL, tablet_id uuid CONSTRAINT session_tablet REFERENCES tablet ON DELETE CASCADE, device text NOT NULL, started_at timestamptz NOT NULL, seen_at timestamptz NOT NULL)`,
    );
    await query.query(`CREATE INDEX session_of ON session (person_id)`);
    // What was taken back is looked for beside every taking of a lot.
    await query.query(`CREATE INDEX log_entry_withdrawn ON log_entry (batch_id) WHERE kind = 'withdrawn'`);
    await query.query(`ALTER TABLE house ADD COLUMN settings jsonb NOT NULL DEFAULT '{}', ADD COLUMN thinned_until timestamptz`);
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`DROP INDEX log_entry_withdrawn`);
    await query.query(`ALTER TABLE house DROP COLUMN thinned_until, DROP COLUMN settings`);
    for (const table of ['session', 'tablet', 'person']) await query.query(`DROP TABLE ${table}`);
  }
}
