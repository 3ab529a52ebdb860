import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { acts } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { DAY_MS } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Panel } from '../../kit/Panel';
import { MomentField } from '../../kit/MomentField';
import { Pick } from '../../kit/Pick';
import { useDevices } from '../../data/readings';
import { Glyph } from '../../kit/glyphs';
import { languageHere } from '../../reader/language';
import { usePreferences } from '../../reader/preferences';
import { looks } from '../../theme/looks';

const styles = {
  pad: { justifyItems: 'stretch', '& > .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { justifySelf: 'start' } },
} as const;

/** Takes readings of a device out: each of them as CSV, or gathered as JSON. */
export function TakeOut() {
  const { data: devices = [] } = useDevices();
  const { temperature } = usePreferences();
  const [device, setDevice] = useState('');
  const [from, setFrom] = useState(dayjs().subtract(1, 'day').format('YYYY-MM-DDTHH:mm'));
  const [to, setTo] = useState(dayjs().format('YYYY-MM-DDTHH:mm'));
  const chosen = devices.find(({ id }) => id === device) ?? devices[0];
  const [fromMs, toMs] = [Date.parse(from), Date.parse(to)];
  const fault =
    !Number.isFinite(fromMs) || !Number.isFinite(toMs)
      ? 'From when until when?'
      : toMs <= fromMs
        ? 'It ends before it begins.'
        : toMs - fromMs > 62 * DAY_MS
          ? 'At most two months at once.'
          : null;
  const query =
    chosen === undefined || fault !== null
      ? null
      : new URLSearchParams({
          channels: chosen.channels.map(({ channel }) => `${chosen.id}:${channel}`).join(','),
          from: new Date(fromMs).toISOString(),
          to: new Date(toMs).toISOString(),
        }).toString();
  return (
    <Panel title="Take readings out" aside={<>times universal, {temperature === 'F' ? '°F' : '°C'}</>} label="Take readings out">
      <Box sx={[looks.pad, styles.pad]}>
        <Box sx={looks.formatRow}>
          <Pick label="Of" value={chosen?.id ?? ''} onChange={setDevice}>
            {devices.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Pick>
          <MomentField label="From" value={from} onChange={setFrom} />
          <MomentField label="Until" value={to} onChange={setTo} />
        </Box>
        {devices.length === 0 && <Typography variant="note">The house has no device yet.</Typography>}
        {fault !== null && (
          <Typography variant="fault" role="alert">
            {fault}
          </Typography>
        )}
        {query !== null && (
          <Box component="p" sx={acts}>
            <Button href={`/api/readings.csv?${query}&temperature=${temperature}&decimal=${languageHere().decimal}`} download>
              <Glyph name="down" />
              Every reading, as CSV
            </Button>
            <Button href={`/api/readings?${query}`} download="readings.json">
              <Glyph name="down" />
              As a curve, as JSON
            </Button>
          </Box>
        )}
      </Box>
    </Panel>
  );
}
