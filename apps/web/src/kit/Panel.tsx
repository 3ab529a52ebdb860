import Paper from '@mui/material/Paper';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import type { SxProps, Theme } from '@mui/material/styles';
import type { ReactNode, Ref } from 'react';
import { line } from '../theme/surfaces';
import { listed } from '../theme/looks';
import { t } from '../theme/tokens';

interface PanelProps {
  title: ReactNode;
  /** one fact beside the title */
  aside?: ReactNode;
  /** what the panel is read aloud as; with it the panel is a place to go to */
  label?: string;
  id?: string;
  tabIndex?: number;
  ref?: Ref<HTMLElement>;
  sx?: SxProps<Theme>;
  children?: ReactNode;
}

/** A panel: its title, one fact beside it, and what is in it. */
export const Panel = ({ title, aside, label, children, sx, ...rest }: PanelProps) => (
  <Paper component="section" aria-label={label} sx={[{ minWidth: 0, breakInside: 'avoid' }, ...listed(sx)]} {...rest}>
    <Stack
      direction="row"
      sx={{ minHeight: 36, alignItems: 'center', justifyContent: 'space-between', gap: '8px', padding: '0 12px', borderBottom: line(t.hair) }}
    >
      <Typography variant="head" component="h2">
        {title}
      </Typography>
      {aside !== undefined && aside !== false && (
        <Typography variant="fact" sx={{ color: 'ink3', textAlign: 'right' }}>
          {aside}
        </Typography>
      )}
    </Stack>
    {children}
  </Paper>
);
