import { Module } from '@nestjs/common';
import { RecipesController } from './recipesController.js';
import { RecipesService } from './recipesService.js';

/** The house's recipes, version by version. */
@Module({
  controllers: [RecipesController],
  providers: [RecipesService],
  exports: [RecipesService],
})
export class RecipesModule {}
