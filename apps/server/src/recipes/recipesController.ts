import { Body, Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiBadRequestResponse, ApiConflictResponse, ApiNotFoundResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { PutAwayRequest, RecipeRequest, type RecipeResponse } from '@bunkhouse/api';
import { For } from '../crew/rights.js';
import { ERROR_SCHEMA } from '../openapi.js';
import { RecipesService } from './recipesService.js';

const RECIPE = { schema: { $ref: '#/components/schemas/RecipeResponse' } };

@ApiTags('recipes')
@Controller('api/recipes')
export class RecipesController {
  constructor(private readonly recipes: RecipesService) {}

  @Get()
  @For('look')
  @ApiOperation({ summary: 'The house’s recipes, each with every version, the last first' })
  @ApiOkResponse({ schema: { type: 'array', items: RECIPE.schema } })
  all(): Promise<RecipeResponse[]> {
    return this.recipes.all();
  }

  @Post()
  @For('plan')
  @HttpCode(200)
  @ApiOperation({ summary: 'Keep a new recipe, or another version of one. What somebody wrote in between is never written over' })
  @ApiOkResponse(RECIPE)
  @ApiBadRequestResponse(ERROR_SCHEMA)
  @ApiNotFoundResponse(ERROR_SCHEMA)
  @ApiConflictResponse(ERROR_SCHEMA)
  keep(@Body() request: RecipeRequest): Promise<RecipeResponse> {
    return this.recipes.keep(request);
  }

  @Post(':id/put-away')
  @For('plan')
  @HttpCode(200)
  @ApiOperation({ summary: 'Put a recipe away, or take it out again. Batches keep theirs' })
  @ApiOkResponse(RECIPE)
  @ApiBadRequestResponse(ERROR_SCHEMA)
  @ApiNotFoundResponse(ERROR_SCHEMA)
  putAway(@Param('id') id: string, @Body() { putAway }: PutAwayRequest): Promise<RecipeResponse> {
    return this.recipes.putAway(id, putAway);
  }
}
