import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { useTour } from '../../acts/tour';
import { Glyph, type GlyphName } from '../../kit/glyphs';
import { Only } from '../../kit/Only';

const WAY = {
  display: 'grid',
  gridTemplateColumns: '44px minmax(0, 1fr)',
  gap: '2px 14px',
  alignItems: 'center',
  justifyItems: 'start',
  textAlign: 'left',
  width: '100%',
  minHeight: 88,
  padding: '14px 16px',
  background: 'var(--bh-palette-panel)',
  border: '1.5px solid',
  borderColor: 'line',
  borderRadius: '3px',
  '&:hover': { borderColor: 'ink' },
  '& svg': { gridRow: '1 / 3' },
} as const;

function Way({ to, glyph, title, says }: { to: string; glyph: GlyphName; title: string; says: string }) {
  return (
    <ButtonBase component={Link} to={to} sx={WAY}>
      <Glyph name={glyph} size={36} />
      <Typography variant="title" component="span" sx={{ fontSize: '22px', lineHeight: '26px' }}>
        {title}
      </Typography>
      <Typography component="span" sx={{ color: 'ink2', fontSize: '16px', lineHeight: '22px' }}>
        {says}
      </Typography>
    </ButtonBase>
  );
}

/** A house with no batch yet: how it begins. */
export function EmptyHouse() {
  const go = useTour(({ go: next }) => next);
  return (
    <Box component="section" aria-label="How it begins" sx={{ display: 'grid', gap: '10px', maxWidth: 720 }}>
      <Typography variant="lead" component="p" sx={{ margin: '4px 0' }}>
        No batch hangs on the rail. Three ways to begin:
      </Typography>
      <Only right="plan">
        <Way to="/new" glyph="start" title="With a piece of meat" says="Weigh and measure it: brine, nitrite and the days stand beside the form." />
      </Only>
      <Way to="/bench" glyph="bench" title="With a figure" says="Work a brine, a pump or a recipe out on the Bench. Nothing is kept." />
      <Only right="run">
        <Way to="/ledger/file" glyph="ledger" title="With a book from before" says="Bring in the file of another house, or of this one on another machine." />
      </Only>
      <Button variant="text" sx={{ justifySelf: 'start' }} onClick={() => go(0)}>
        Or look round first: two minutes
      </Button>
    </Box>
  );
}
