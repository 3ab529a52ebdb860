import type { Message, MessageArgs } from './say/message.js';

/**
 * A wrong input to a computation. `field` names the parameter (dots for nested ones: `section.diameterMm`), `code` and `args` say what is
 * wrong with it, in whatever units somebody reads; `message` says the same in plain English with metric units.
 */
export class InputError extends Error {
  readonly field: string;
  readonly code: string;
  readonly args: MessageArgs;

  constructor(field: string, said: Message) {
    super(said.message);
    this.name = 'InputError';
    this.field = field;
    this.code = said.code;
    this.args = said.args;
  }

  /** what is wrong, as a sentence by its code */
  get said(): Message {
    return { code: this.code, args: this.args, message: this.message };
  }
}
