import Button from '@mui/material/Button';
import { Component, type ErrorInfo, type ReactNode } from 'react';
import Box from '@mui/material/Box';
import { looks } from '../theme/looks';
import { signed } from '../theme/type';

const styles = {
  title: { font: signed(30, 34, 600), letterSpacing: '.005em' },
} as const;

/** The whole page, which may break: another page is loaded anew. */
export class Broken extends Component<{ children: ReactNode }, { broken: boolean }> {
  override state = { broken: false };

  static getDerivedStateFromError() {
    return { broken: true };
  }

  override componentDidCatch(error: unknown, { componentStack }: ErrorInfo) {
    console.error('A page broke', error, componentStack);
  }

  override render() {
    if (!this.state.broken) return this.props.children;
    return (
      <Box component="main" sx={looks.page}>
        <Box component="h1" sx={styles.title}>
          This page broke
        </Box>
        <Box component="p" sx={looks.lead}>
          Nothing that was logged is lost. Load the page again; if it breaks again, go back to Today.
        </Box>
        <Button href="/">Go to Today</Button>
      </Box>
    );
  }
}
