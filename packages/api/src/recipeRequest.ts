import type { Recipe } from '@bunkhouse/core';
import { IsBoolean, IsInt, IsObject, IsOptional, IsString, Matches, Max, MaxLength, Min, MinLength } from 'class-validator';
import { RecipeShape } from './shapes/recipeShapes.js';
import type { RuleContext } from './shapes/rules.js';

/** Which recipe, and which of its versions. */
export class RecipeOfBatch {
  @Matches(/^[a-z0-9-]{1,60}$/, { message: 'There is no such recipe.' })
  id: string;

  @Min(1, { message: 'Versions are counted from 1.' })
  @Max(100000, { message: 'There is no such version.' })
  @IsInt({ message: 'Versions are counted from 1.' })
  version: number;
}

/** A new recipe, or another version of one. What its parts must be `requireRecipe` of the core says. */
export class RecipeRequest {
  /** made by the sender, so that sending it twice keeps it once */
  @Matches(/^[a-z0-9-]{1,60}$/, { message: 'The recipe needs an id.' })
  id: string;

  /** the version that it was written after; 0 for a new recipe */
  @Min(0, { message: 'Versions are counted from 1.' })
  @Max(100000, { message: 'There is no such version.' })
  @IsInt({ message: 'Which version was it written after?' })
  after: number;

  @IsObject({ message: 'The recipe is missing.', context: { part: () => RecipeShape } satisfies RuleContext })
  recipe: Recipe;

  /** what was changed, and why */
  @IsOptional()
  @MaxLength(400, { message: 'At most 400 letters.' })
  @IsString({ message: 'What was changed?' })
  reason?: string;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who writes it? A name is missing.' })
  @IsString({ message: 'Who writes it? A name is missing.' })
  by: string;
}

/** A recipe put away, or taken out again. Nothing is thrown away: batches were made by it. */
export class PutAwayRequest {
  @IsBoolean({ message: 'Put away: yes or no.' })
  putAway: boolean;
}
