import { isDeepStrictEqual } from 'node:util';
import { Injectable, NotFoundException, type OnModuleInit } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import type { BatchRequest, RecipeRequest, RecipeResponse } from '@bunkhouse/api';
import { designOf, designStops, processFor, processOf, requireRecipe, STARTER_RECIPES, type Process } from '@bunkhouse/core';
import type { DataSource } from 'typeorm';
import { Clock } from '../clock.js';
import { overtaken, refused } from '../errors/refusals.js';
import { RecipeEntity } from './recipeEntity.js';
import { RecipeVersionEntity } from './recipeVersionEntity.js';
import { serverSays } from '@bunkhouse/api';

/** Who wrote what a new house begins with. */
const STARTER_BY = 'Bunkhouse';
/** The same in every house, so that two houses begin with the same book. */
const STARTER_AT = new Date('2026-11-25T00:00:00Z');

/** The house's recipes and their versions. */
@Injectable()
export class RecipesService implements OnModuleInit {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly clock: Clock,
  ) {}

  /** A house begins with the starters. One that it has already, in any version, is left as it is. */
  async onModuleInit(): Promise<void> {
    const at = STARTER_AT;
    await this.dataSource.transaction(async (manager) => {
      const ids = STARTER_RECIPES.map(({ id }) => ({ id, putAway: false }));
      await manager.createQueryBuilder().insert().into(RecipeEntity).values(ids).orIgnore().execute();
      const versions = STARTER_RECIPES.map(({ id, recipe }) => ({ recipeId: id, version: 1, recipe, reason: '', by: STARTER_BY, at }));
      await manager
        .createQueryBuilder()
        .insert()
        .into(RecipeVersionEntity)
        .values(versions.map((version) => Object.assign(new RecipeVersionEntity(), version)))
        .orIgnore()
        .execute();
    });
  }

  async all(): Promise<RecipeResponse[]> {
    const [recipes, versions] = await Promise.all([
      this.dataSource.getRepository(RecipeEntity).find({ order: { id: 'ASC' } }),
      this.dataSource.getRepository(RecipeVersionEntity).find({ order: { version: 'DESC' } }),
    ]);
    return recipes.map(({ id, putAway }) => ({
      id,
      putAway,
      versions: versions
        .filter(({ recipeId }) => recipeId === id)
        .map(({ version, recipe, reason, by, at }) => ({ version, recipe, reason, by, at: at.toISOString() })),
    }));
  }

  /** Keeps a new recipe, or another version of one. The same twice is kept once; what somebody else wrote in between is not written over. */
  async keep({ id, after, recipe: given, reason = '', by }: RecipeRequest): Promise<RecipeResponse> {
    const recipe = requireRecipe(given);
    const process = processOf(recipe);
    const stops = designStops(process, designOf(process, new Date(this.clock.now()).toISOString()));
    // What the rules say of the dose depends on whose they are, and a batch is held to them. What nobody may do is refused here.
    const never = stops.filter(({ code }) => code !== 'nitrite-over');
    if (never.length > 0) throw refused(never.map(({ code, args, message }) => ({ field: 'recipe', code, args, message })));
    if (after > 0 && reason.trim() === '') throw refused([{ field: 'reason', ...serverSays('version-without-reason') }]);
    const version = Object.assign(new RecipeVersionEntity(), {
      recipeId: id,
      version: after + 1,
      recipe,
      reason: reason.trim(),
      by: by.trim(),
      at: new Date(this.clock.now()),
    });
    await this.dataSource.transaction(async (manager) => {
      if (after === 0) await manager.createQueryBuilder().insert().into(RecipeEntity).values({ id, putAway: false }).orIgnore().execute();
      const row = await manager.getRepository(RecipeEntity).findOne({ where: { id }, lock: { mode: 'pessimistic_write' } });
      if (row === null) throw noSuchRecipe();
      const versions = manager.getRepository(RecipeVersionEntity);
      const there = await versions.find({ where: { recipeId: id }, order: { version: 'DESC' } });
      const same = there.find((other) => other.version === version.version);
      if (same !== undefined && isDeepStrictEqual(same.recipe, version.recipe)) return;
      if (same !== undefined) throw overtaken([{ field: 'after', ...serverSays('version-written-since', { by: same.by, version: same.version }) }]);
      if ((there[0]?.version ?? 0) !== after) throw refused([{ field: 'after', ...serverSays('no-version-after') }]);
      await versions.insert(version);
    });
    return this.one(id);
  }

  async putAway(id: string, putAway: boolean): Promise<RecipeResponse> {
    await this.dataSource.getRepository(RecipeEntity).update({ id }, { putAway });
    return this.one(id);
  }

  /** The process that a batch is to be made by. */
  async processOf({ recipe, product }: Pick<BatchRequest, 'recipe' | 'product'>): Promise<Process> {
    if (recipe === undefined || recipe === null) return processFor(product);
    const process = await this.version(recipe);
    if (process.product !== product) throw refused([{ field: 'recipe', ...serverSays('recipe-of-other-product', { name: process.name }) }]);
    return process;
  }

  /** The process of one version of a recipe. */
  async version({ id, version }: { id: string; version: number }): Promise<Process> {
    const row = await this.dataSource.getRepository(RecipeVersionEntity).findOneBy({ recipeId: id, version });
    if (row === null) throw refused([{ field: 'recipe', ...serverSays('no-such-recipe-version') }]);
    return { ...processOf(row.recipe), recipe: { id, version } };
  }

  private async one(id: string): Promise<RecipeResponse> {
    const found = (await this.all()).find((recipe) => recipe.id === id);
    if (found === undefined) throw noSuchRecipe();
    return found;
  }
}

const noSuchRecipe = (): NotFoundException => new NotFoundException(serverSays('no-such-recipe'));
