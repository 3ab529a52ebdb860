/**
 * A wrong input to a computation, said so that a cook understands it.
 * `field` names the parameter (dots for nested ones: `section.diameterMm`), `message` is a plain sentence.
 */
export class InputError extends Error {
  readonly field: string;

  constructor(field: string, message: string) {
    super(message);
    this.name = 'InputError';
    this.field = field;
  }
}
