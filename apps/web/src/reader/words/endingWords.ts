import type { Ending } from '@bunkhouse/core';

/** How a batch ended that was not packed. */
export const ENDING_WORDS: Record<Ending, string> = { served: 'Served', given: 'Given away', spoilt: 'Spoilt', 'thrown-away': 'Thrown away' };
