import { getMetadataStorage } from 'class-validator';
import type { ValidationMetadata } from 'class-validator/types/metadata/ValidationMetadata.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import type { RuleContext, Shape } from '../shapes/ruleContext.js';

/** JSON Schema 2020-12, which is that of OpenAPI 3.1. */
export interface Schema {
  $ref?: string;
  type?: string;
  description?: string;
  format?: string;
  enum?: readonly unknown[];
  properties?: Record<string, Schema>;
  required?: string[];
  additionalProperties?: boolean | Schema;
  items?: Schema;
  anyOf?: Schema[];
  oneOf?: Schema[];
  minimum?: number;
  maximum?: number;
  discriminator?: { propertyName: string; mapping?: Record<string, string> };
  [keyword: string]: unknown;
}

/** Marks of a property while its schema is made. */
const MAY_BE = 'x-may-be';
const OR_NULL = 'x-or-null';

type Converter = (meta: ValidationMetadata) => Schema;
const contextOf = ({ context }: ValidationMetadata): RuleContext => (context ?? {}) as RuleContext;
const told = (meta: ValidationMetadata): Schema => {
  const { description } = contextOf(meta);
  return description === undefined || description === '' ? {} : { description };
};
const first = (meta: ValidationMetadata): unknown => (meta.constraints as unknown[])[0];

/** What class-validator-jsonschema would say otherwise, and the rules of this house. Without a type where another rule says it. */
const converters = (prefix: string): Record<string, Converter> => {
  const ref = (part: Shape<object>): Schema => ({ $ref: `${prefix}${part.name}` });
  const part = (meta: ValidationMetadata): Schema => {
    const { part: of, parts, by } = contextOf(meta);
    if (of !== undefined) return ref(of());
    if (parts === undefined) return {};
    return { oneOf: parts().map(ref), ...(by === undefined ? {} : { discriminator: { propertyName: by } }) };
  };
  return {
    conditionalValidation: (meta) => (contextOf(meta).orNull === true ? { [OR_NULL]: true } : { [MAY_BE]: true }),
    nestedValidation: part,
    either: part,
    partsOfEach: (meta) => {
      const { part: of, most } = contextOf(meta);
      return { type: 'array', items: { type: 'array', maxItems: most, ...(of === undefined ? {} : { items: ref(of()) }) } };
    },
    isArray: (meta) => ({ type: 'array', ...(contextOf(meta).part === undefined ? {} : { items: part(meta) }) }),
    isObject: (meta) => {
      const { values, names, most } = contextOf(meta);
      const own = part(meta);
      if (Object.keys(own).length > 0) return own;
      return {
        type: 'object',
        ...told(meta),
        ...(values === undefined ? {} : { additionalProperties: values }),
        ...(names === undefined ? {} : { propertyNames: { pattern: names } }),
        ...(most === undefined ? {} : { maxProperties: most }),
      };
    },
    isIn: (meta) => {
      const words = first(meta) as readonly unknown[];
      return { type: typeof words[0], enum: [...words], ...told(meta) };
    },
    isString: (meta) => {
      const { format, encoding } = contextOf(meta);
      return { type: 'string', ...told(meta), ...(encoding === undefined ? {} : { contentEncoding: encoding, contentMediaType: format }) };
    },
    isUuid: (meta) => ({ type: 'string', format: 'uuid', ...told(meta) }),
    isInstant: (meta) => ({ type: 'string', format: 'date-time', ...told(meta) }),
    isDay: () => ({ type: 'string', format: 'date' }),
    isBoolean: (meta) => ({ type: 'boolean', ...told(meta) }),
    isNumber: (meta) => ({ type: 'number', ...told(meta) }),
    isInt: (meta) => ({ type: 'integer', ...told(meta) }),
    min: (meta) => ({ minimum: first(meta) as number }),
    max: (meta) => ({ maximum: first(meta) as number }),
    above: (meta) => ({ exclusiveMinimum: contextOf(meta).above }),
    matches: (meta) => ({ type: 'string', pattern: (first(meta) as RegExp).source }),
    minLength: (meta) => ({ type: 'string', minLength: first(meta) }),
    isDefined: () => ({}),
  };
};

/**
 * The schemas of classes and of every class in them, by name: what class-validator holds of them, written down.
 *
 * @param prefix where schemas lie in the document: `#/components/schemas/`
 * @throws Error for a class that has no rule, and for two of one name
 */
export const schemasOf = (classes: readonly Shape<object>[], prefix: string): Record<string, Schema> =>
  schemasNamed(
    classes.map(({ name }) => name),
    prefix,
  );

/** The same by the names of the classes. */
export function schemasNamed(names: readonly string[], prefix: string): Record<string, Schema> {
  const all = validationMetadatasToSchemas({
    refPointerPrefix: prefix,
    additionalConverters: converters(prefix) as NonNullable<Parameters<typeof validationMetadatasToSchemas>[0]>['additionalConverters'],
  }) as unknown as Record<string, Schema>;
  const found: Record<string, Schema> = {};
  const ruled = [...(getMetadataStorage() as unknown as { validationMetadatas: Map<Shape<object>, unknown> }).validationMetadatas.keys()];
  const take = (name: string): void => {
    if (Object.hasOwn(found, name)) return;
    if (ruled.filter((one) => one.name === name).length > 1) throw new Error(`Two classes are called ${name}.`);
    const schema = all[name];
    if (schema === undefined) throw new Error(`${name} has no rule: nothing can be said of it.`);
    found[name] = closed(schema);
    for (const inner of refsIn(found[name], prefix)) take(inner);
  };
  for (const name of names) take(name);
  return found;
}

/** Of a class: nothing stands in it that has no rule, what may be left out is not asked for, null where it may be. */
function closed(schema: Schema): Schema {
  const properties = Object.entries(schema.properties ?? {});
  const required = properties.filter(([, { [MAY_BE]: mayBe }]) => mayBe !== true).map(([name]) => name);
  return {
    type: 'object',
    properties: Object.fromEntries(
      properties.map(([name, { [MAY_BE]: _, [OR_NULL]: orNull, ...own }]) => [name, orNull === true ? { anyOf: [own, { type: 'null' }] } : own]),
    ),
    ...(required.length === 0 ? {} : { required }),
    additionalProperties: false,
  };
}

/** Names of the classes that stand in a schema. */
export function refsIn(schema: unknown, prefix: string): string[] {
  if (typeof schema !== 'object' || schema === null) return [];
  const { $ref } = schema as Schema;
  const own = typeof $ref === 'string' && $ref.startsWith(prefix) ? [$ref.slice(prefix.length)] : [];
  return [...own, ...Object.values(schema).flatMap((inner) => refsIn(inner, prefix))];
}

/** For readers that want to know which class a value stands for: every value of the property by which classes differ. */
export function withMappings(schemas: Record<string, Schema>, prefix: string): Record<string, Schema> {
  const mapped = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(mapped);
    if (typeof value !== 'object' || value === null) return value;
    const inner = Object.fromEntries(Object.entries(value).map(([key, own]) => [key, mapped(own)])) as Schema;
    if (inner.discriminator === undefined || !Array.isArray(inner.oneOf)) return inner;
    const { propertyName } = inner.discriminator;
    const mapping = inner.oneOf.flatMap(({ $ref = '' }) =>
      (schemas[$ref.slice(prefix.length)]?.properties?.[propertyName]?.enum ?? []).map((word): [string, string] => [String(word), $ref]),
    );
    return { ...inner, discriminator: { propertyName, mapping: Object.fromEntries(mapping) } };
  };
  return mapped(schemas) as Record<string, Schema>;
}
