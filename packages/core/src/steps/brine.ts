/** What is mixed for a batch: one brine, or a pickle for the needle and a cover. */
export type BrineId = 'brine' | 'pickle' | 'cover';
