import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { inWords } from '../../reader/quantities';
import type { DeviceResponse, ToolResponse } from '@bunkhouse/api';
import { checkAt } from '@bunkhouse/core';
import { useState } from 'react';
import { useDevices } from '../../data/readings';
import { useTools } from '../../data/tools';
import { aloud, Grid, Within, type GridColumn } from '../../kit/Grid';
import { GuideLink } from '../../kit/GuideLink';
import { usePreferences, type Preferences } from '../../reader/preferences';
import { checkInWords, sizeInWords, TOOL_WORDS } from '../../reader/words/toolWords';
import { useNow } from '../../data/useNow';
import { CheckTool } from './CheckTool';
import { Opened } from './Opened';
import { ToolForm } from './ToolForm';
import { Only } from '../../kit/Only';
import { writtenTime } from '../../reader/times';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';

const styles = {
  storesNext: { marginTop: '34px' },
} as const;

type Open = { id: string; what: 'change' | 'check' } | null;

const columnsFor = (
  preferences: Preferences,
  devices: readonly DeviceResponse[],
  now: number,
  open: Open,
  onOpen: (open: Open) => void,
): GridColumn<ToolResponse>[] => [
  {
    field: 'name',
    headerName: 'Tool',
    flex: 1.2,
    minWidth: 150,
    phoneWidth: 100,
    hideable: false,
    onPhone: true,
    renderCell: ({ row: tool }) => (
      <span>
        {tool.name}
        {tool.putAway && <small> put away</small>}
      </span>
    ),
  },
  { field: 'what', headerName: 'What', flex: 1.4, minWidth: 150, valueGetter: (_, tool) => `${TOOL_WORDS[tool.size.kind]}${channelOf(tool, devices)}` },
  { field: 'size', headerName: 'Size', flex: 1.2, minWidth: 130, valueGetter: (_, tool) => sizeInWords(tool.size, preferences) },
  {
    field: 'check',
    headerName: 'Last check',
    flex: 2,
    minWidth: 170,
    phoneWidth: 150,
    onPhone: true,
    valueGetter: (_, tool) => checkAt(tool.checks, Infinity)?.at ?? '',
    renderCell: ({ row: tool }) => {
      const stands = checkInWords(tool, now, preferences);
      const last = checkAt(tool.checks, Infinity);
      if (stands === null) return '–';
      return (
        <span>
          {last !== undefined && `${writtenTime(last.at, 'D MMM')}, ${last.by}: `}
          {stands.said}
          {stands.isDue && !tool.putAway && (
            <Box component="b" sx={looks.lotFault}>
              {' '}
              check it
            </Box>
          )}
        </span>
      );
    },
  },
  {
    field: 'acts',
    ...aloud('What to do with it'),
    width: 170,
    phoneWidth: 96,
    sortable: false,
    hideable: false,
    onPhone: true,
    renderCell: ({ row: tool }) => {
      const isOpen = (what: 'change' | 'check') => open?.id === tool.id && open.what === what;
      const turn = (what: 'change' | 'check') => onOpen(isOpen(what) ? null : { id: tool.id, what });
      return (
        <Within>
          <Box sx={looks.lotActs}>
            {checkInWords(tool, now, preferences) !== null && (
              <Only right="record">
                <Button variant="text" aria-expanded={isOpen('check')} aria-label={`Check ${tool.name}`} onClick={() => turn('check')}>
                  Check it
                </Button>
              </Only>
            )}
            <Only right="plan">
              <Button variant="text" aria-expanded={isOpen('change')} aria-label={`Change ${tool.name}`} onClick={() => turn('change')}>
                Change
              </Button>
            </Only>
          </Box>
        </Within>
      );
    },
  },
];

/** Thermometers, hydrometers, scales and needles: their sizes, and how far they are off. */
export function Tools() {
  const preferences = usePreferences();
  const { data, error } = useTools();
  const { data: devices = [] } = useDevices();
  const now = useNow();
  const [open, setOpen] = useState<Open>(null);
  const leave = () => setOpen(null);
  const [isWriting, setIsWriting] = useState(false);
  const tools = [...(data ?? [])].sort((a, b) => Number(a.putAway) - Number(b.putAway));
  const opened = tools.find(({ id }) => id === open?.id);
  const columns = columnsFor(preferences, devices, now, open, setOpen);
  return (
    <section aria-labelledby="tools-head">
      <Box sx={[looks.pageHead, styles.storesNext]}>
        <div>
          <Box component="h2" id="tools-head" sx={looks.head}>
            Thermometers, scales, needles
          </Box>
          <Typography variant="note">
            A thermometer in ice and water shows {inWords(0, 'temperature', preferences, 0)}. What it is off there is taken out of everything that is read with
            it from then on. <GuideLink to="thermometer" of="Checking a thermometer" />
          </Typography>
        </div>
        {!isWriting && (
          <Only right="plan">
            <Button onClick={() => setIsWriting(true)}>Write a tool down</Button>
          </Only>
        )}
      </Box>
      {error !== undefined && data === undefined && <Typography variant="fault">The tools cannot be read just now.</Typography>}
      {isWriting && <ToolForm tool={null} devices={devices} onDone={() => setIsWriting(false)} />}
      {data?.length === 0 && !isWriting && (
        <Box component="p" sx={looks.lead}>
          No tool is written down yet. Begin with the thermometer that decides when a piece is done.
        </Box>
      )}
      {opened !== undefined && (
        <Opened key={`${opened.id} ${open?.what}`} title={opened.name}>
          {open?.what === 'change' ? <ToolForm tool={opened} devices={devices} onDone={leave} /> : <CheckTool tool={opened} onDone={leave} />}
        </Opened>
      )}
      {tools.length > 0 && <Grid<ToolResponse> name="tools" label="Tools of the house" columns={columns} rows={tools} getRowHeight={() => 'auto'} />}
    </section>
  );
}

function channelOf({ size }: ToolResponse, devices: readonly DeviceResponse[]): string {
  if (size.kind !== 'thermometer') return '';
  if (size.device === undefined) return ' in the hand';
  const device = devices.find(({ id }) => id === size.device);
  return ` on ${device?.name ?? 'a device'}, channel ${size.channel ?? ''}`;
}
