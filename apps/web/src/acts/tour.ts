import { create } from 'zustand';

/** The place in the look round, or null where nobody takes one. Kept for this sitting only. */
interface TourState {
  at: number | null;
  go: (at: number) => void;
  leave: () => void;
}

/** The look round the house: begun on an empty Today and from the Guide. */
export const useTour = create<TourState>((set) => ({
  at: null,
  go: (at) => set({ at }),
  leave: () => set({ at: null }),
}));
