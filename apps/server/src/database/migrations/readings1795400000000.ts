import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Devices, and what they read: five minutes of a channel to a row. */
export class Readings1795400000000 implements MigrationInterface {
  name = 'Readings1795400000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(
      `CREATE TABLE device (id uuid CONSTRAINT device_pkey PRIMARY KEY, name text NOT NULL, kind text NOT NULL, channels jsonb NOT NULL, store text, weight jsonb, simulated boolean NOT NULL, token_hash bytea CONSTRAINT device_token UNIQUE, created_by text NOT NULL, created_at timestamptz NOT NULL, heard_at timestamptz)`,
    );
    // Rows of the running five minutes are written anew with each post: room for that on the same page.
    await query.query(
      `CREATE TABLE reading_block (device_id uuid NOT NULL CONSTRAINT reading_block_device REFERENCES device, channel smallint NOT NULL, from_at timestamptz NOT NULL, samples bytea NOT NULL, CONSTRAINT reading_block_pkey PRIMARY KEY (device_id, channel, from_at)) WITH (fillfactor = 70)`,
    );
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`DROP TABLE reading_block`);
    await query.query(`DROP TABLE device`);
  }
}
