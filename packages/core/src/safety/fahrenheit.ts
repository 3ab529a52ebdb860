/** The limits of the codes are Fahrenheit values: in °C they are taken exactly, not rounded. */
export const fromFahrenheit = (F: number): number => ((F - 32) * 5) / 9;

/** Limits of the guidelines, °C [P: FSIS Cooking Guideline and Appendix B, retail food codes; values from memory]. */
export const LIMIT_C = {
  /** 130 °F: lethality begins, chilling begins */
  lethal: fromFahrenheit(130),
  f80: fromFahrenheit(80),
  f50: fromFahrenheit(50),
  f45: fromFahrenheit(45),
  /** 40 °F: cold enough for meat and brine */
  cold: fromFahrenheit(40),
  f135: fromFahrenheit(135),
  f70: fromFahrenheit(70),
  f41: fromFahrenheit(41),
  /** 145 °F: below it pork and beef are done by time, with humidity */
  f145: fromFahrenheit(145),
} as const;

/** A bound and a reading that differ by the rounding of a display are the same: readings are given to a hundredth. */
export const ROUNDING_C = 0.006;
