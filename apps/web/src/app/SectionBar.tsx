import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { lazy, Suspense, useState } from 'react';
import { NavLink, useLocation } from 'react-router';
import { useMay } from '../data/who';
import { Glyph, type GlyphName } from '../kit/glyphs';
import { fold } from '../theme/folds';
import { t } from '../theme/tokens';
import { signed } from '../theme/type';

const styles = {
  bar: {
    background: t.steel,
    borderRight: `1px solid ${t.hair}`,
    paddingTop: '6px',
    '& > :is(a, button)': {
      minHeight: '66px',
      display: 'flex',
      flexDirection: 'column',
      alignItems: 'center',
      justifyContent: 'center',
      gap: '4px',
      font: signed(14, 15, 600),
      color: t.ink2,
      position: 'relative',
      textAlign: 'center',
    },
    '& > [aria-current]': { background: t.panel, color: t.ink, borderBlock: `1px solid ${t.hair}`, marginRight: '-1px' },
    '& > [aria-current]::before': { content: '""', position: 'absolute', left: 0, top: '-1px', bottom: '-1px', width: '5px', background: t.mark },
    [fold.phone]: {
      gridRow: 3,
      gridColumn: 1,
      display: 'grid',
      gridTemplateColumns: 'repeat(6, minmax(0, 1fr))',
      padding: 0,
      border: 0,
      borderTop: `1px solid ${t.hair}`,
      '& > :is(a, button)': { fontSize: '14px' },
      '& > [aria-current]': { margin: '-1px 0 0', border: 0 },
      '& > [aria-current]::before': { left: 0, right: 0, top: 0, bottom: 'auto', width: 'auto', height: '4px' },
    },
    [fold.paper]: { display: 'none' },
  },
  behindMore: { [fold.phone]: { display: 'none !important' } },
  more: { display: 'none !important', [fold.phone]: { display: 'flex !important' } },
} as const;

interface Section {
  to: string;
  name: string;
  glyph: GlyphName;
}

const SECTIONS: readonly Section[] = [
  { to: '/', name: 'Today', glyph: 'today' },
  { to: '/new', name: 'New batch', glyph: 'start' },
  { to: '/calendar', name: 'Calendar', glyph: 'calendar' },
  { to: '/bench', name: 'Bench', glyph: 'bench' },
  { to: '/pit', name: 'Pit', glyph: 'pit' },
];

/** On a telephone these stand behind one word more: nine leave no room for a thumb. */
const MORE: readonly Section[] = [
  { to: '/recipes', name: 'Recipes', glyph: 'recipes' },
  { to: '/stores', name: 'Stores', glyph: 'stores' },
  { to: '/ledger', name: 'Ledger', glyph: 'ledger' },
  { to: '/guide', name: 'Guide', glyph: 'guide' },
];

const MoreSections = lazy(async () => ({ default: (await import('./MoreSections')).MoreSections }));

/** Down the left side; along the bottom on a phone. */
export function SectionBar() {
  const mayPlan = useMay('plan');
  const { pathname } = useLocation();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const isThere = MORE.some(({ to }) => pathname.startsWith(to));
  return (
    <Box component="nav" sx={styles.bar} aria-label="Sections">
      {SECTIONS.filter(({ to }) => mayPlan || to !== '/new').map(({ to, name, glyph }) => (
        <NavLink key={to} to={to} end={to === '/'}>
          <Glyph name={glyph} size={26} />
          {name}
        </NavLink>
      ))}
      {MORE.map(({ to, name, glyph }) => (
        <Box key={to} component={NavLink} to={to} sx={styles.behindMore}>
          <Glyph name={glyph} size={26} />
          {name}
        </Box>
      ))}
      <ButtonBase
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        {...(isThere ? { 'aria-current': true } : {})}
        sx={styles.more}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        <Glyph name="more" size={26} />
        More
      </ButtonBase>
      {anchor !== null && (
        <Suspense>
          <MoreSections sections={MORE} anchor={anchor} onClose={() => setAnchor(null)} />
        </Suspense>
      )}
    </Box>
  );
}
