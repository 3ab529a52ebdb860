/** What is weighed for a brine, each line by itself. */
export const MIX_LINES = [
  { kind: 'mass', name: 'waterG', label: 'Water and ice' },
  { kind: 'mass', name: 'saltG', label: 'Salt', allowZero: true },
  { kind: 'mass', name: 'sugarG', label: 'Sugar', allowZero: true },
  { kind: 'mass', name: 'cureG', label: 'Cure' },
] as const;

/** A line more where it is planned; left out, it was not weighed. */
export const ACCELERATOR_LINE = { kind: 'mass', name: 'acceleratorG', label: 'Ascorbate or erythorbate', optional: true, allowZero: true } as const;
