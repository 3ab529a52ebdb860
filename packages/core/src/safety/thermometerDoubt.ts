/** How far a thermometer may be off, °C [M: until it was held against ice, and after]: taken off for lethality, added for chill. */
const THERMOMETER_DOUBT_C = { unchecked: 1.5, checked: 0.5 } as const;

export const doubtOf = (isChecked: boolean | undefined): number => (isChecked === true ? THERMOMETER_DOUBT_C.checked : THERMOMETER_DOUBT_C.unchecked);
