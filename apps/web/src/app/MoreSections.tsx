import ListItemIcon from '@mui/material/ListItemIcon';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { NavLink } from 'react-router';
import { Glyph, type GlyphName } from '../kit/glyphs';

interface MoreProps {
  sections: readonly { to: string; name: string; glyph: GlyphName }[];
  anchor: HTMLElement;
  onClose: () => void;
}

/** The sections that have no room at the foot of a telephone: comes when it is asked for. */
export const MoreSections = ({ sections, anchor, onClose }: MoreProps) => (
  <Menu
    open
    anchorEl={anchor}
    onClose={onClose}
    anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
    transformOrigin={{ vertical: 'bottom', horizontal: 'right' }}
    slotProps={{ list: { 'aria-label': 'More sections' } }}
  >
    {sections.map(({ to, name, glyph }) => (
      <MenuItem key={to} component={NavLink} to={to} onClick={onClose}>
        <ListItemIcon>
          <Glyph name={glyph} size={26} />
        </ListItemIcon>
        {name}
      </MenuItem>
    ))}
  </Menu>
);
