import type { Message } from '@bunkhouse/core';
import type { ValidationError } from 'class-validator';
import type { FieldError } from './responses.js';
import type { RuleContext } from './shapes/ruleContext.js';
import { apiSays } from './say/ruleWords.js';

/** Turns class-validator's tree into faults at their fields, `pieces.0.greenG`: the first of each, by its code. */
export function fieldFaults(errors: readonly ValidationError[], path = ''): FieldError[] {
  return errors.flatMap((error) => {
    const field = `${path}${error.property}`;
    const deeper = fieldFaults(error.children ?? [], `${field}.`);
    return deeper.length > 0 ? deeper : [{ field, ...saidOf(error) }];
  });
}

function saidOf({ property, constraints, contexts }: ValidationError): Message {
  const [kind, message] = Object.entries(constraints ?? {})[0] ?? [];
  if (kind === undefined || message === undefined) return apiSays('cannot-be');
  if (kind === 'whitelistValidation') return apiSays('not-asked-for', { name: property });
  return (contexts?.[kind] as RuleContext | undefined)?.said ?? { code: 'as-written', args: { text: message }, message };
}
