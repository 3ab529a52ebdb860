import { IsIn, IsOptional } from 'class-validator';
import { told, type Told } from './say/ruleWords.js';

const choice =
  (words: readonly string[], wrong: Told): PropertyDecorator =>
  (target, property) => {
    IsIn(words, wrong)(target, property);
    IsOptional()(target, property);
  };

/** Rules of how a file is written. */
export const fileSystem = choice(['metric', 'us'], told('file-system-choice'));
export const fileTemperature = choice(['C', 'F'], told('file-temperature-choice'));
export const fileDecimal = choice(['point', 'comma'], told('file-decimal-choice'));

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
