import { t } from '../theme/tokens';
import Button from '@mui/material/Button';
import { lazy, Suspense, useState } from 'react';
import { useWho } from '../data/who';

const DutySheet = lazy(async () => ({ default: (await import('./DutySheet')).DutySheet }));

/** Who is on duty here. */
export function DutyMenu() {
  const { name } = useWho();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        variant="text"
        sx={{
          minHeight: 44,
          fontSize: 15,
          lineHeight: '18px',
          color: 'enamel.on',
          textAlign: 'right',
          overflowWrap: 'anywhere',
          '&.Mui-focusVisible': { outlineColor: t.enamel.on },
        }}
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {name} on
      </Button>
      <Suspense>{anchor !== null && <DutySheet anchor={anchor} onClose={() => setAnchor(null)} />}</Suspense>
    </>
  );
}
