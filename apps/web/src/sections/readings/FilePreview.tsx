import { attempt, loggerReader, type LoggerFormat, type LoggerTally } from '@bunkhouse/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../shell/preferences';
import { useSay } from '../../shell/reader';
import { digits, inWords } from '../../shell/quantities';
import { span, writtenTime } from '../../shell/times';
import { useTally } from '../../workers/useLoggerFile';

const SHOWN = 8;

/** The first lines as they would be taken, and what the whole file holds; below it what to do. */
export function FilePreview({
  file,
  rows,
  format,
  children,
}: {
  file: File;
  rows: string[][];
  format: LoggerFormat;
  children: (tally: LoggerTally) => ReactNode;
}) {
  const preferences = usePreferences();
  const say = useSay();
  const read = attempt(() => loggerReader(format));
  const { tally, isWhole, fault } = useTally(file, 'value' in read ? format : null);
  if ('fault' in read)
    return (
      <p className="fault" role="alert">
        {say(read.fault)}
      </p>
    );
  const lines = rows.slice(format.headLines, format.headLines + SHOWN).map((cells, i) => ({ cells, number: format.headLines + i + 1, ...read.value(cells) }));
  const channels = format.columns.map(({ channel }) => channel);
  return (
    <>
      <div className="table-scroll">
        <table className="book preview">
          <caption className="sr">The first lines as they would be taken</caption>
          <thead>
            <tr>
              <th scope="col">Line</th>
              <th scope="col">Time, here</th>
              {channels.map((channel) => (
                <th key={channel} scope="col" className="n">
                  Channel {channel}
                </th>
              ))}
              <th scope="col">Refused</th>
            </tr>
          </thead>
          <tbody>
            {lines.map(({ number, readings, refused }) => (
              <tr key={number}>
                <td>{number}</td>
                <td>{readings[0] === undefined ? '\u2013' : writtenTime(readings[0].at, 'D MMM YYYY, HH:mm:ss')}</td>
                {channels.map((channel) => {
                  const own = readings.find((reading) => reading.channel === channel);
                  return (
                    <td key={channel} className="n">
                      {own === undefined ? '\u2013' : inWords(own.C, 'temperature', preferences)}
                    </td>
                  );
                })}
                <td>{refused === null ? '' : say(refused)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {fault !== null && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      {tally !== null && <Tally tally={tally} isWhole={isWhole} />}
      {tally !== null && isWhole && fault === null && children(tally)}
    </>
  );
}

function Tally({ tally, isWhole }: { tally: LoggerTally; isWhole: boolean }) {
  const say = useSay();
  const { lines, readings, refusedLines, refused, repeated, backwards, gaps, longestGapMs, fromAt, toAt } = tally;
  return (
    <div className="tally" role="status">
      <p>
        <b>
          {digits(lines, 0)} lines, {digits(readings, 0)} readings
        </b>
        {!isWhole && ' so far'}
        {fromAt !== null && toAt !== null && `, ${writtenTime(fromAt, 'D MMM YYYY, HH:mm')} to ${writtenTime(toAt, 'D MMM YYYY, HH:mm')}`}.
        {gaps > 0 && ` ${digits(gaps, 0)} gaps of more than 15 min, the longest ${span(longestGapMs)}: what nobody read is not counted for safety.`}
        {repeated > 0 && ` ${digits(repeated, 0)} lines repeat the time before them.`}
        {backwards > 0 && ` ${digits(backwards, 0)} lines run backwards: they are put in order.`}
      </p>
      {refusedLines > 0 && (
        <>
          <p>
            <b>{digits(refusedLines, 0)} lines are refused, whole or in part:</b>
          </p>
          <ul>
            {refused.map(({ line, reason }) => (
              <li key={line}>
                Line {line}: {say(reason)}
              </li>
            ))}
            {refusedLines > refused.length && <li>and {digits(refusedLines - refused.length, 0)} more</li>}
          </ul>
        </>
      )}
    </div>
  );
}
