import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { unseen } from '../../theme/surfaces';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { attempt, loggerReader, type LoggerFormat, type LoggerTally } from '@bunkhouse/core';
import type { ReactNode } from 'react';
import { usePreferences } from '../../reader/preferences';
import { useSay } from '../../reader/reader';
import { digits, inWords } from '../../reader/quantities';
import { span, writtenTime } from '../../reader/times';
import { useTally } from '../../workers/useLoggerFile';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  preview: { '& tbody tr': { cursor: 'default' }, '& td, & th': { padding: '6px 12px' } },
  tally: { borderLeft: `4px solid ${t.line}`, padding: '2px 0 2px 10px', display: 'grid', gap: '4px', '& li': { listStyle: 'square', marginLeft: '20px' } },
} as const;

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
      <Typography variant="fault" role="alert">
        {say(read.fault)}
      </Typography>
    );
  const lines = rows.slice(format.headLines, format.headLines + SHOWN).map((cells, i) => ({ cells, number: format.headLines + i + 1, ...read.value(cells) }));
  const channels = format.columns.map(({ channel }) => channel);
  return (
    <>
      <Box sx={looks.tableScroll}>
        <Table sx={[looks.book, styles.preview]}>
          <Box component="caption" sx={unseen}>
            The first lines as they would be taken
          </Box>
          <TableHead>
            <TableRow>
              <TableCell>Line</TableCell>
              <TableCell>Time, here</TableCell>
              {channels.map((channel) => (
                <TableCell key={channel} align="right">
                  Channel {channel}
                </TableCell>
              ))}
              <TableCell>Refused</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {lines.map(({ number, readings, refused }) => (
              <TableRow key={number}>
                <TableCell>{number}</TableCell>
                <TableCell>{readings[0] === undefined ? '\u2013' : writtenTime(readings[0].at, 'D MMM YYYY, HH:mm:ss')}</TableCell>
                {channels.map((channel) => {
                  const own = readings.find((reading) => reading.channel === channel);
                  return (
                    <TableCell key={channel} align="right">
                      {own === undefined ? '\u2013' : inWords(own.C, 'temperature', preferences)}
                    </TableCell>
                  );
                })}
                <TableCell>{refused === null ? '' : say(refused)}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
      {fault !== null && (
        <Typography variant="fault" role="alert">
          {fault}
        </Typography>
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
    <Box sx={styles.tally} role="status">
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
    </Box>
  );
}
