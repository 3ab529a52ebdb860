import Button from '@mui/material/Button';
import Box from '@mui/material/Box';
import { useEffect, useRef, type ReactNode } from 'react';
import { Panel } from '../../kit/Panel';

const styles = {
  opened: { marginBottom: '10px', scrollMarginTop: '140px' },
  inside: { padding: '12px' },
} as const;

/** What was opened from a row: it comes into sight, and closed it leads back to what opened it. A form has its own way to leave it. */
export function Opened({ title, onLeave, children }: { title: string; onLeave?: () => void; children: ReactNode }) {
  const ref = useRef<HTMLElement>(null);
  useEffect(() => {
    const from = document.activeElement;
    ref.current?.scrollIntoView({ block: 'nearest' });
    ref.current?.focus({ preventScroll: true });
    return () => {
      if (from instanceof HTMLElement && from.isConnected) from.focus();
    };
  }, []);
  return (
    <Panel
      ref={ref}
      label={title}
      title={title}
      tabIndex={-1}
      aside={
        onLeave !== undefined && (
          <Button variant="text" onClick={onLeave}>
            Close
          </Button>
        )
      }
      sx={styles.opened}
    >
      <Box sx={styles.inside}>{children}</Box>
    </Panel>
  );
}
