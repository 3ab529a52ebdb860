import type { Recipe } from '@bunkhouse/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';

/** One version of a recipe. Rows are never changed nor removed: a trigger of the database sees to it. */
@Entity({ name: 'recipe_version' })
export class RecipeVersionEntity {
  @PrimaryColumn('text', { name: 'recipe_id', primaryKeyConstraintName: 'recipe_version_pkey' })
  recipeId: string;

  /** from 1 */
  @PrimaryColumn('int', { primaryKeyConstraintName: 'recipe_version_pkey' })
  version: number;

  @Column('jsonb')
  recipe: Recipe;

  @Column('text')
  reason: string;

  @Column('text')
  by: string;

  @Column('timestamptz')
  at: Date;
}
