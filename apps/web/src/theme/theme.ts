import { createTheme } from '@mui/material/styles';
import type {} from '@mui/x-data-grid/themeAugmentation';
import type {} from '@mui/x-date-pickers/themeAugmentation';
import { buttons } from './parts/buttons';
import { choices } from './parts/choices';
import { dates } from './parts/dates';
import { fields } from './parts/fields';
import { frame } from './parts/frame';
import { grid } from './parts/grid';
import { lists } from './parts/lists';
import { panels } from './parts/panels';
import { strips } from './parts/strips';
import { t, day, night, type Tokens } from './tokens';
import { f, roles, text, type RoleFlags, type Roles } from './type';

/* eslint-disable @typescript-eslint/no-empty-object-type -- MUI's palette and roles are taught ours by empty interfaces that extend them. */
declare module '@mui/material/styles' {
  interface Palette extends Tokens {}
  interface PaletteOptions extends Partial<Tokens> {}
  interface TypographyVariants extends Roles {}
  interface TypographyVariantsOptions extends Partial<Roles> {}
}
/* eslint-enable @typescript-eslint/no-empty-object-type */
declare module '@mui/material/Typography' {
  // MUI's own roles are an error in this project
  interface TypographyPropsVariantOverrides extends RoleFlags {
    h1: false;
    h2: false;
    h3: false;
    h4: false;
    h5: false;
    h6: false;
    subtitle1: false;
    subtitle2: false;
    body1: false;
    body2: false;
    caption: false;
    overline: false;
  }
}
declare module '@mui/material/Button' {
  interface ButtonPropsVariantOverrides {
    quiet: true;
    unit: true;
  }
}
declare module '@mui/material/Alert' {
  interface AlertPropsColorOverrides {
    stop: true;
    caution: true;
    note: true;
    success: false;
    info: false;
    warning: false;
    error: false;
  }
}
declare module '@mui/material/Chip' {
  interface ChipPropsVariantOverrides {
    dashed: true;
  }
}

/** MUI's own palette keys, filled from the tokens. `light` is what a filled button takes under the pointer. */
const palette = (k: Tokens, go: string, goHi: string, onGo: string) => {
  const c = (main: string, light = main, contrastText = k.panel) => ({ main, light, dark: main, contrastText });
  return {
    ...k,
    primary: c(go, goHi, onGo),
    secondary: c(k.ink2),
    error: c(k.danger.main, k.danger.main, k.danger.on),
    warning: c(k.amber.main, k.amber.main, k.amber.on),
    info: c(k.ink3),
    success: c(k.ink), // no blue and no green "safe": both are plain ink
    background: { default: k.tile, paper: k.panel },
    text: { primary: k.ink, secondary: k.ink2, disabled: k.ink3 },
    divider: k.hair,
    action: { active: k.ink2, hover: k.sunk, selected: k.steel, focus: k.steel, disabled: k.ink3, disabledBackground: k.hair2, disabledOpacity: 1 }, // never by opacity: contrast would go
  };
};

export const theme = createTheme({
  cssVariables: { cssVarPrefix: 'bh', colorSchemeSelector: 'data-theme' }, // <html data-theme="light|dark">, set before the first paint
  colorSchemes: {
    light: { palette: palette(day, '#0E3B2E', '#1B5343', '#F3F8F6') },
    dark: { palette: palette(night, '#CFE3DC', '#E4F0EB', '#0B1513') },
  },
  spacing: 4,
  shape: { borderRadius: 3 },
  shadows: Array(25).fill('none') as never,
  motion: { reducedMotion: 'always' }, // nothing of MUI's moves; the tag's 200 ms drop is ours
  focusVisible: { outlineStyle: 'solid', outlineWidth: 3, outlineColor: t.focusOut, outlineOffset: 2, boxShadow: `0 0 0 2px ${t.focusIn}` },
  typography: {
    fontFamily: text,
    ...roles,
    // MUI's inner parts ask for these by name
    body1: roles.body,
    body2: roles.body,
    caption: roles.note,
    subtitle1: roles.head,
    subtitle2: roles.head,
    overline: roles.label,
    h6: roles.title,
    h4: roles.title,
    h5: roles.title,
    button: f(18, 20, 600, { letterSpacing: '.015em', textTransform: 'none' }),
  },
  components: { ...buttons, ...choices, ...dates, ...fields, ...frame, ...grid, ...lists, ...panels, ...strips },
});
