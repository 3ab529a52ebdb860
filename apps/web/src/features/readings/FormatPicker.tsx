import Box from '@mui/material/Box';
import { unseen } from '../../theme/surfaces';
import { fieldTime } from '../../reader/times';
import { isLocal, TIME_STYLES, type GuessedFormat, type LoggerFormat, type TimeStyle } from '@bunkhouse/core';
import { MomentField } from '../../kit/MomentField';
import { Pick } from '../../kit/Pick';
import { Choice } from '../../kit/Choice';
import { Strip } from '../../kit/Strip';
import { looks } from '../../theme/looks';

const styles = {
  formatPicker: { display: 'grid', gap: '10px' },
} as const;

const STYLE_WORDS: Readonly<Record<TimeStyle, string>> = {
  instant: 'with its offset: 2026-11-20T07:30:00Z',
  ymd: 'year first: 2026-11-20 07:30',
  dmy: 'day first: 20.11.2026 07:30',
  mdy: 'month first: 11/20/2026 07:30',
  epochS: 'seconds since 1970',
  epochMs: 'milliseconds since 1970',
  elapsed: 'since the start: 0:05:30, or seconds',
};

const DOUBT_WORDS: Readonly<Record<GuessedFormat['doubts'][number], string>> = {
  dayOrMonth: 'Day or month first? Both could be: look at the first readings below.',
  unit: 'The file does not say whether it is °C or °F.',
  start: 'The times count from the start: say when that was.',
};

/** Zones that are asked for, the house's own first. */
const zonesOf = (own: string): string[] => [own, ...Intl.supportedValuesOf('timeZone').filter((zone) => zone !== own), ...(own === 'UTC' ? [] : ['UTC'])];

/** Columns and formats of a file, as they were guessed, each to be put right. */
export function FormatPicker({
  format,
  rows,
  titles,
  doubts,
  onChange,
}: {
  format: LoggerFormat;
  rows: string[][];
  titles: readonly string[];
  doubts: GuessedFormat['doubts'];
  onChange: (format: LoggerFormat) => void;
}) {
  const columns = rows[format.headLines] ?? [];
  const titleOf = (column: number) => `${column + 1}${(titles[column] ?? '') === '' ? '' : ` ${titles[column] ?? ''}`}`;
  const change = (changes: Partial<LoggerFormat>) => onChange({ ...format, ...changes });
  const channelOf = (column: number) => format.columns.find((own) => own.column === column)?.channel ?? null;
  const setChannel = (column: number, channel: number | null) =>
    change({
      columns: [...format.columns.filter((own) => own.column !== column && own.channel !== channel), ...(channel === null ? [] : [{ column, channel }])].sort(
        (a, b) => a.channel - b.channel,
      ),
    });
  return (
    <Box component="fieldset" sx={styles.formatPicker}>
      <Box component="legend" sx={unseen}>
        How the file is read
      </Box>
      {doubts.map((doubt) => (
        <Strip key={doubt} level="caution" word="Look">
          {DOUBT_WORDS[doubt]}
        </Strip>
      ))}
      <Box sx={looks.formatRow}>
        <Pick label="Time stands in column" value={String(format.timeColumn)} onChange={(chosen) => change({ timeColumn: Number(chosen) })}>
          {columns.map((_, column) => (
            <option key={column} value={column}>
              {titleOf(column)}
            </option>
          ))}
        </Pick>
        <Pick label="Its clock" value={String(format.clockColumn ?? '')} onChange={(chosen) => change({ clockColumn: chosen === '' ? null : Number(chosen) })}>
          <option value="">in the same column</option>
          {columns.map((_, column) => (
            <option key={column} value={column}>
              in column {titleOf(column)}
            </option>
          ))}
        </Pick>
        <Pick label="Written" value={format.timeStyle} onChange={(chosen) => change({ timeStyle: chosen })}>
          {TIME_STYLES.map((style) => (
            <option key={style} value={style}>
              {STYLE_WORDS[style]}
            </option>
          ))}
        </Pick>
        {isLocal(format.timeStyle) && (
          <Pick label="By the clocks of" value={format.timeZone} onChange={(chosen) => change({ timeZone: chosen })}>
            {zonesOf(format.timeZone).map((zone) => (
              <option key={zone} value={zone}>
                {zone.replaceAll('_', ' ')}
              </option>
            ))}
          </Pick>
        )}
        {format.timeStyle === 'elapsed' && (
          <MomentField
            label="Started"
            value={format.startAt == null ? '' : fieldTime(format.startAt)}
            onChange={(at) => change({ startAt: at === '' ? null : new Date(at).getTime() })}
          />
        )}
      </Box>
      <Box sx={looks.formatRow}>
        <Choice label="Temperatures in" value={format.unit} options={{ C: '°C', F: '°F' }} onChange={(unit) => change({ unit })} />
        <Choice label="Decimals after a" value={format.decimal} options={{ '.': 'point', ',': 'comma' }} onChange={(decimal) => change({ decimal })} />
        {columns.map((_, column) =>
          column === format.timeColumn || column === format.clockColumn ? null : (
            <Pick
              key={column}
              label={`Column ${titleOf(column)}`}
              value={String(channelOf(column) ?? '')}
              onChange={(chosen) => setChannel(column, chosen === '' ? null : Number(chosen))}
            >
              <option value="">left out</option>
              {columns.map((__, i) => (
                <option key={i} value={i + 1}>
                  channel {i + 1}
                </option>
              ))}
            </Pick>
          ),
        )}
      </Box>
    </Box>
  );
}
