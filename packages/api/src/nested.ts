import { plainToInstance, Transform } from 'class-transformer';
import { ValidateNested } from 'class-validator';
import { withSchema, type Told } from './say/ruleWords.js';

/** What stands in a place where a described thing should stand, and is none: `ValidateNested` refuses it. A list would be taken for the things in it. */
const NOTHING_DESCRIBED = 0;

const described = <T extends object>(type: new () => T, value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? plainToInstance(type, value) : NOTHING_DESCRIBED;

/** What stands in a place is a class's: validated by it, and said so in the schema. */
const part = <T extends object>(type: new () => T, wrong: Told): Told => withSchema(wrong, { part: () => type });

/** A thing inside of a request, made an instance of its class. What is not given stays so. */
export const nested =
  <T extends object>(type: new () => T, wrong: Told): PropertyDecorator =>
  (target, property) => {
    ValidateNested(part(type, wrong))(target, property);
    Transform(({ value }: { value: unknown }) => (value === undefined || value === null ? value : described(type, value)))(target, property);
  };

/** A list of them. What is no list is left for `IsArray` to refuse. */
export const nestedList =
  <T extends object>(type: new () => T, wrong: Told): PropertyDecorator =>
  (target, property) => {
    ValidateNested({ each: true, ...part(type, wrong) })(target, property);
    Transform(({ value }: { value: unknown }) => (Array.isArray(value) ? value.map((item) => described(type, item)) : value))(target, property);
  };
