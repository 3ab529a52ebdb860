import type { TendingAct } from '@bunkhouse/core';

/** What the hands do at the pit: on the button, and in the log. */
export const TENDING_WORDS: Readonly<Record<TendingAct, { todo: string; act: string; done: string }>> = {
  fuel: { todo: 'Add fuel', act: 'Log fuel', done: 'Fuel added' },
  spritz: { todo: 'Spritz', act: 'Log spritz', done: 'Spritzed' },
  glaze: { todo: 'Glaze', act: 'Log glaze', done: 'Glazed' },
  wrap: { todo: 'Wrap', act: 'Log wrap', done: 'Wrapped' },
  turn: { todo: 'Turn the piece', act: 'Log turn', done: 'Turned' },
  pan: { todo: 'Fill the water pan', act: 'Log water pan', done: 'Water pan filled' },
  water: { todo: 'Change the water', act: 'Log water change', done: 'Water changed' },
  bare: { todo: 'Take it out of foil or bag', act: 'Log bare', done: 'Taken out of foil or bag' },
  reseat: { todo: 'Seat the probe anew', act: 'Log probe seated', done: 'Probe seated anew' },
};
