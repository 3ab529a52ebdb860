import { NavLink } from 'react-router';
import { useMay } from './who';
import { Glyph, type GlyphName } from './glyphs';

const SECTIONS: readonly { to: string; name: string; glyph: GlyphName }[] = [
  { to: '/', name: 'Today', glyph: 'today' },
  { to: '/new', name: 'New batch', glyph: 'start' },
  { to: '/calendar', name: 'Calendar', glyph: 'calendar' },
  { to: '/bench', name: 'Bench', glyph: 'bench' },
  { to: '/pit', name: 'Pit', glyph: 'pit' },
  { to: '/recipes', name: 'Recipes', glyph: 'recipes' },
  { to: '/stores', name: 'Stores', glyph: 'stores' },
  { to: '/ledger', name: 'Ledger', glyph: 'ledger' },
  { to: '/guide', name: 'Guide', glyph: 'guide' },
];

/** Down the left side; along the bottom on a phone. */
export function SectionBar() {
  const mayPlan = useMay('plan');
  return (
    <nav className="bar" aria-label="Sections">
      {SECTIONS.filter(({ to }) => mayPlan || to !== '/new').map(({ to, name, glyph }) => (
        <NavLink key={to} to={to} end={to === '/'}>
          <Glyph name={glyph} size={26} />
          {name}
        </NavLink>
      ))}
    </nav>
  );
}
