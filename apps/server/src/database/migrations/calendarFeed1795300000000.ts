import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The secret address of the calendar feed. */
export class CalendarFeed1795300000000 implements MigrationInterface {
  name = 'CalendarFeed1795300000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(
      `CREATE TABLE calendar_feed (id int CONSTRAINT calendar_feed_pkey PRIMARY KEY CONSTRAINT calendar_feed_one CHECK (id = 1), secret text NOT NULL, alarm_min int, changed_by text NOT NULL, changed_at timestamptz NOT NULL)`,
    );
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`DROP TABLE calendar_feed`);
  }
}
