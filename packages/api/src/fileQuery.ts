import { IsIn, IsOptional } from 'class-validator';

const choice =
  (words: readonly string[], message: string): PropertyDecorator =>
  (target, property) => {
    IsIn(words, { message })(target, property);
    IsOptional()(target, property);
  };

/** Rules of how a file is written. */
export const fileSystem = choice(['metric', 'us'], 'Weights are metric or us.');
export const fileTemperature = choice(['C', 'F'], 'Temperatures are C or F.');
export const fileDecimal = choice(['point', 'comma'], 'A point or a comma.');

/** How a file for a spreadsheet is written: in g, mm and °C with points where nothing is said. */
export class FileQuery {
  @fileSystem
  system?: 'metric' | 'us';

  @fileTemperature
  temperature?: 'C' | 'F';

  /** with commas between whole and part, cells stand apart by semicolons */
  @fileDecimal
  decimal?: 'point' | 'comma';
}
