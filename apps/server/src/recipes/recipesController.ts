import { Body, Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiBadRequestResponse, ApiConflictResponse, ApiNotFoundResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { PutAwayRequest, RecipeRequest, RecipeResponse } from '@bunkhouse/api';
import { For } from '../crew/rights.js';
import { REFUSED } from '../errors/refusals.js';
import { RecipesService } from './recipesService.js';

const RECIPE = { type: RecipeResponse };

@ApiTags('recipes')
@Controller('api/recipes')
export class RecipesController {
  constructor(private readonly recipes: RecipesService) {}

  @Get()
  @For('look')
  @ApiOperation({ summary: 'The house’s recipes, each with every version, the last first' })
  @ApiOkResponse({ ...RECIPE, isArray: true })
  all(): Promise<RecipeResponse[]> {
    return this.recipes.all();
  }

  @Post()
  @For('plan')
  @HttpCode(200)
  @ApiOperation({ summary: 'Keep a new recipe, or another version of one. What somebody wrote in between is never written over' })
  @ApiOkResponse(RECIPE)
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  @ApiConflictResponse(REFUSED)
  keep(@Body() request: RecipeRequest): Promise<RecipeResponse> {
    return this.recipes.keep(request);
  }

  @Post(':id/put-away')
  @For('plan')
  @HttpCode(200)
  @ApiOperation({ summary: 'Put a recipe away, or take it out again. Batches keep theirs' })
  @ApiOkResponse(RECIPE)
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  putAway(@Param('id') id: string, @Body() { putAway }: PutAwayRequest): Promise<RecipeResponse> {
    return this.recipes.putAway(id, putAway);
  }
}
