import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The house's recipes, each with every version that it ever had. */
export class Recipes1795500000000 implements MigrationInterface {
  name = 'Recipes1795500000000';

  async up(query: QueryRunner): Promise<void> {
    await query.query(`CREATE TABLE recipe (id text CONSTRAINT recipe_pkey PRIMARY KEY, put_away boolean NOT NULL)`);
    await query.query(`
      CREATE TABLE recipe_version (
        recipe_id text NOT NULL CONSTRAINT recipe_version_recipe_fkey REFERENCES recipe (id),
        version int NOT NULL CONSTRAINT recipe_version_check CHECK (version > 0),
        recipe jsonb NOT NULL,
        reason text NOT NULL,
        by text NOT NULL,
        at timestamptz NOT NULL,
        CONSTRAINT recipe_version_pkey PRIMARY KEY (recipe_id, version)
      )`);
    await query.query(`CREATE TRIGGER recipe_version_append_only BEFORE UPDATE OR DELETE ON recipe_version FOR EACH ROW EXECUTE FUNCTION refuse_change()`);
    await query.query(`CREATE TRIGGER recipe_version_no_truncate BEFORE TRUNCATE ON recipe_version FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()`);
  }

  async down(query: QueryRunner): Promise<void> {
    await query.query(`DROP TABLE recipe_version`);
    await query.query(`DROP TABLE recipe`);
  }
}
