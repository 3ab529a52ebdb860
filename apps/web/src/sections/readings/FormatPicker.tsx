import { isLocal, TIME_STYLES, type GuessedFormat, type LoggerFormat, type TimeStyle } from '@bunkhouse/core';
import { Choice } from '../../shell/Choice';
import { Glyph } from '../../shell/glyphs';

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
    <fieldset className="format-picker">
      <legend className="sr">How the file is read</legend>
      {doubts.map((doubt) => (
        <p key={doubt} className="strip warn">
          <span className="w">
            <Glyph name="caution" size={20} />
            Look
          </span>
          {DOUBT_WORDS[doubt]}
        </p>
      ))}
      <div className="format-row">
        <label className="field">
          <span className="label">Time stands in column</span>
          <select className="box" value={format.timeColumn} onChange={(event) => change({ timeColumn: Number(event.target.value) })}>
            {columns.map((_, column) => (
              <option key={column} value={column}>
                {titleOf(column)}
              </option>
            ))}
          </select>
        </label>
        <label className="field">
          <span className="label">Its clock</span>
          <select
            className="box"
            value={format.clockColumn ?? ''}
            onChange={(event) => change({ clockColumn: event.target.value === '' ? null : Number(event.target.value) })}
          >
            <option value="">in the same column</option>
            {columns.map((_, column) => (
              <option key={column} value={column}>
                in column {titleOf(column)}
              </option>
            ))}
          </select>
        </label>
        <label className="field">
          <span className="label">Written</span>
          <select className="box" value={format.timeStyle} onChange={(event) => change({ timeStyle: event.target.value as TimeStyle })}>
            {TIME_STYLES.map((style) => (
              <option key={style} value={style}>
                {STYLE_WORDS[style]}
              </option>
            ))}
          </select>
        </label>
        {isLocal(format.timeStyle) && (
          <label className="field">
            <span className="label">By the clocks of</span>
            <select className="box" value={format.timeZone} onChange={(event) => change({ timeZone: event.target.value })}>
              {zonesOf(format.timeZone).map((zone) => (
                <option key={zone} value={zone}>
                  {zone.replaceAll('_', ' ')}
                </option>
              ))}
            </select>
          </label>
        )}
        {format.timeStyle === 'elapsed' && (
          <label className="field">
            <span className="label">Started</span>
            <input
              className="box"
              type="datetime-local"
              onChange={(event) => change({ startAt: event.target.value === '' ? null : new Date(event.target.value).getTime() })}
            />
          </label>
        )}
      </div>
      <div className="format-row">
        <Choice label="Temperatures in" value={format.unit} options={{ C: '°C', F: '°F' }} onChange={(unit) => change({ unit })} />
        <Choice label="Decimals after a" value={format.decimal} options={{ '.': 'point', ',': 'comma' }} onChange={(decimal) => change({ decimal })} />
        {columns.map((_, column) =>
          column === format.timeColumn || column === format.clockColumn ? null : (
            <label key={column} className="field">
              <span className="label">Column {titleOf(column)}</span>
              <select
                className="box"
                value={channelOf(column) ?? ''}
                onChange={(event) => setChannel(column, event.target.value === '' ? null : Number(event.target.value))}
              >
                <option value="">left out</option>
                {columns.map((__, i) => (
                  <option key={i} value={i + 1}>
                    channel {i + 1}
                  </option>
                ))}
              </select>
            </label>
          ),
        )}
      </div>
    </fieldset>
  );
}
