import type { Role } from '@bunkhouse/api';

/** Whoever opens the made-up house at the machine itself is she. */
export const DEMO_COOK = 'Wren';

/** The crew of the made-up house. Their PINs are for everybody to read, so the house is shut to other machines. */
export const DEMO_CREW: readonly { name: string; role: Role; pin: string; endsInDays?: number }[] = [
  { name: DEMO_COOK, role: 'head', pin: '7204' },
  { name: 'Juno', role: 'cook', pin: '3961' },
  { name: 'Abel', role: 'helper', pin: '5183' },
  { name: 'Inspector Rowan', role: 'reader', pin: '8427', endsInDays: 30 },
];
