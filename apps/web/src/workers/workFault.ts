import { asWritten, InputError, type Message } from '@bunkhouse/core';

/** Why a worker has no answer: what core said, or else what is told to a cook. */
export const workFault = (error: unknown, otherwise: string): Message => (error instanceof InputError ? error.said : asWritten(otherwise));
