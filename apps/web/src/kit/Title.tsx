import Typography from '@mui/material/Typography';
import { useEffect, useRef, type ReactNode } from 'react';
import { useLocation } from 'react-router';

/** The heading of a screen. It names the page, and whoever came here from another screen stands at it. */
export function Title({ page, children }: { page?: string; children: ReactNode }) {
  const { key, pathname } = useLocation();
  const heading = useRef<HTMLHeadingElement>(null);
  const isFirst = key === 'default';
  useEffect(() => {
    // Who has begun to write in the new screen goes on.
    if (!isFirst && document.getElementById('main')?.contains(document.activeElement) !== true) heading.current?.focus({ preventScroll: true });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- an address that is written while somebody types is no other screen
  }, [pathname]);
  useEffect(() => {
    document.title = `${page ?? heading.current?.textContent ?? ''} · Bunkhouse`;
  }, [page, children]);
  return (
    <Typography ref={heading} variant="title" tabIndex={-1} sx={{ outline: 'none !important', boxShadow: 'none !important' }}>
      {children}
    </Typography>
  );
}
