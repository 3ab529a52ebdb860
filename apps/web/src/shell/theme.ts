import { createTheme, type PaletteOptions } from '@mui/material/styles';

/** MUI's palette in the words of tokens.css, which holds the values for day and night. */
const palette: PaletteOptions = {
  background: { default: 'var(--tile)', paper: 'var(--panel)' },
  text: { primary: 'var(--ink)', secondary: 'var(--ink-2)', disabled: 'var(--ink-3)' },
  divider: 'var(--hair)',
  primary: { main: 'var(--enamel)', contrastText: 'var(--on-enamel)' },
  error: { main: 'var(--danger)', contrastText: 'var(--on-danger)' },
  warning: { main: 'var(--amber)', contrastText: 'var(--on-amber)' },
};

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-theme', nativeColor: true },
  colorSchemes: { light: { palette }, dark: { palette } },
  shape: { borderRadius: 3 },
  spacing: 4,
  shadows: Array.from({ length: 25 }, () => 'none') as unknown as ReturnType<typeof createTheme>['shadows'],
  typography: { fontFamily: 'var(--f-text)', fontSize: 15, button: { textTransform: 'none' } },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: {
        root: { minHeight: 44, fontFamily: 'var(--f-sign)', fontWeight: 600, fontSize: '1rem' },
        sizeLarge: { minHeight: 56, fontSize: '1.125rem' },
      },
    },
    MuiPaper: { defaultProps: { elevation: 0, variant: 'outlined' } },
    MuiDialog: { defaultProps: { slotProps: { paper: { className: 'leaf' } } } },
  },
});
