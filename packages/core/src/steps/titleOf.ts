import { nameSaid } from '../say/english/names.js';
import type { Message } from '../say/message.js';
import type { StepSpec } from './step.js';

/** What a step is called on the ticket. */
export const titleOf = ({ title }: Pick<StepSpec, 'title'>): Message => nameSaid(title);
