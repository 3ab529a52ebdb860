import Typography from '@mui/material/Typography';
import type { WaterSplit } from '@bunkhouse/core';
import { usePreferences } from '../reader/preferences';
import { inWords } from '../reader/quantities';
import Box from '@mui/material/Box';
import { looks } from '../theme/looks';
import { t } from '../theme/tokens';

const styles = {
  hotIce: {
    display: 'flex',
    border: `1.5px solid ${t.line}`,
    '& li': { padding: '6px 8px 8px', minWidth: '76px', flexBasis: 0 },
    '& li + li': { borderLeft: `1.5px solid ${t.line}` },
    '& .MuiTypography-label': { display: 'block', whiteSpace: 'nowrap' },
  },
  num: { fontSize: '24px', lineHeight: '28px' },
} as const;

/** The water of a brine in its three parts, to their shares. */
export function HotAndIce({ split, hotC, coldC }: { split: WaterSplit; hotC: number; coldC: number }) {
  const preferences = usePreferences();
  const parts = [
    { id: 'hot', name: 'Hot', ground: t.station.cook.wash, at: inWords(hotC, 'temperature', preferences, 0), grams: split.hotG },
    { id: 'cold', name: 'Cold', ground: t.sunk, at: inWords(coldC, 'temperature', preferences, 0), grams: split.coldG },
    { id: 'ice', name: 'Ice', ground: t.ice, at: '', grams: split.iceG },
  ].filter((part) => part.grams > 0.5);
  const total = parts.reduce((sum, part) => sum + part.grams, 0);
  return (
    <Box component="ul" sx={styles.hotIce}>
      {parts.map((part) => (
        <li key={part.id} style={{ flexGrow: Math.max(0.2, part.grams / total), background: part.ground }}>
          <Typography variant="label">
            {part.name} {part.at}
          </Typography>
          <Box component="b" sx={[looks.num, styles.num]}>
            {inWords(part.grams, 'mass', preferences)}
          </Box>
        </li>
      ))}
    </Box>
  );
}
