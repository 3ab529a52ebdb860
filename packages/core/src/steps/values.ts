import type { StepId } from '../log/stepId.js';
import type { StepDefinition } from './defineStep.js';
import type { StepInput } from './step.js';
import type { STEPS } from './steps.js';

type InputOf<Id extends StepId> = (typeof STEPS)[Id] extends StepDefinition<Id, infer Inputs, infer More> ? Inputs[number] | More[number] : never;

/** What is asked at a step: `InputName<'pump'>` is `'pickleC' | 'pumpedG'`. */
export type InputName<Id extends StepId> = InputOf<Id>['name'];

/** What is asked at any step. */
export type AnyInputName = InputName<StepId>;

/** Where it is kept: by its name, or by name and piece, `pumpedG:A`. One that is read of each piece bears no code where only one is there. */
type Key<Input extends StepInput> = Input extends { each: 'piece' } ? Input['name'] | `${Input['name']}:${string}` : Input['name'];
type Value<Input extends StepInput> = Input extends { kind: 'choice' } ? Input['options'][number]['value'] : number;

/** What was measured at a step, as far as it was: grams, °C, mm, or the value of a choice. */
export type ValuesOf<Id extends StepId> = { readonly [Input in InputOf<Id> as Key<Input>]?: Value<Input> };
