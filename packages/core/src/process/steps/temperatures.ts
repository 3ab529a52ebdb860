/** Cold enough for meat and brine, °C (handbook part 5: no meat into brine above 4 °C). */
export const COLD_GATE_C = 4;

/** Safe core for whole muscle, °C, with 3 min rest [USDA consumer guidance, value from memory]. */
export const SAFE_CORE_C = 63;
