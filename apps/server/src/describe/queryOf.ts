import { schemasOf } from '@bunkhouse/api/schema';
import { applyDecorators } from '@nestjs/common';
import { ApiQuery } from '@nestjs/swagger';

/** Describes the parts of a query by the rules of its class. */
export function ApiQueryOf(query: new () => object): MethodDecorator {
  const { properties = {}, required = [] } = schemasOf([query], '#/components/schemas/')[query.name] ?? {};
  return applyDecorators(
    ...Object.entries(properties).map(([name, { description, ...schema }]) =>
      ApiQuery({ name, required: required.includes(name), schema: schema as object, ...(description === undefined ? {} : { description }) }),
    ),
  );
}
