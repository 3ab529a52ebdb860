import type { Recipe } from '@bunkhouse/core';
import { IsBoolean, IsInt, IsObject, IsOptional, IsString, Matches, Max, MaxLength, Min, MinLength } from 'class-validator';
import { RecipeShape } from './shapes/recipeShapes.js';
import { told, withSchema } from './say/ruleWords.js';

/** Which recipe, and which of its versions. */
export class RecipeOfBatch {
  @Matches(/^[a-z0-9-]{1,60}$/, told('recipe-of-batch-id-form'))
  id: string;

  @Min(1, told('recipe-of-batch-version-least'))
  @Max(100000, told('recipe-of-batch-version-most'))
  @IsInt(told('recipe-of-batch-version-least'))
  version: number;
}

/** A new recipe, or another version of one. What its parts must be `requireRecipe` of the core says. */
export class RecipeRequest {
  /** made by the sender, so that sending it twice keeps it once */
  @Matches(/^[a-z0-9-]{1,60}$/, told('recipe-id-form'))
  id: string;

  /** the version that it was written after; 0 for a new recipe */
  @Min(0, told('recipe-of-batch-version-least'))
  @Max(100000, told('recipe-of-batch-version-most'))
  @IsInt(told('recipe-after-missing'))
  after: number;

  @IsObject(withSchema(told('recipe-recipe-missing'), { part: () => RecipeShape }))
  recipe: Recipe;

  /** what was changed, and why */
  @IsOptional()
  @MaxLength(400, told('letters-longest', { most: 400 }))
  @IsString(told('recipe-reason-missing'))
  reason?: string;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('written-by-missing'))
  @IsString(told('written-by-missing'))
  by: string;
}

/** A recipe put away, or taken out again. Nothing is thrown away: batches were made by it. */
export class PutAwayRequest {
  @IsBoolean(told('person-put-away-yes-or-no'))
  putAway: boolean;
}
