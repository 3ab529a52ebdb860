import Typography from '@mui/material/Typography';
import type { SxProps, Theme } from '@mui/material/styles';
import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import { listed, looks } from '../theme/looks';
import { t } from '../theme/tokens';
import { signed } from '../theme/type';

const styles = {
  reading: { minWidth: 0, '& > .MuiTypography-note': { marginTop: '4px' } },
  figure: { display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: '6px', marginTop: '4px' },
  pm: { font: signed(20, '1', 500), color: t.ink2 },
} as const;

/** How big its number and its unit stand. */
const SIZES = {
  xl: { number: { fontSize: '56px', lineHeight: 1 }, unit: { fontSize: '22px' } },
  big: { number: { fontSize: '36px', lineHeight: 1.06 }, unit: { fontSize: '17px' } },
  md: { number: { fontSize: '26px', lineHeight: 1.06 }, unit: { fontSize: '17px' } },
} as const;

/** One reading: label above, value, unit, and its doubt. Never a coloured ground. */
export function Hero({
  label,
  value,
  unit,
  doubt,
  size = 'big',
  tone,
  sx,
  children,
}: {
  label: string;
  value: string;
  unit: string;
  doubt?: string | undefined;
  size?: 'xl' | 'big' | 'md';
  tone?: 'nitrite';
  sx?: SxProps<Theme>;
  children?: ReactNode;
}) {
  return (
    <Box role="group" aria-label={label} sx={[styles.reading, ...listed(sx)]}>
      <Typography variant="label" component="div">
        {label}
      </Typography>
      <Box sx={styles.figure}>
        <Box component="span" sx={[looks.num, SIZES[size].number, tone !== undefined && { color: t[tone].ink }]}>
          {value}
        </Box>
        <Box component="span" sx={[looks.unit, SIZES[size].unit]}>
          {unit}
        </Box>
        {doubt !== undefined && (
          <Box component="span" sx={styles.pm}>
            {doubt}
          </Box>
        )}
      </Box>
      {children}
    </Box>
  );
}
