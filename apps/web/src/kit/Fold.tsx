import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';
import Box from '@mui/material/Box';
import { useId, useState, type ReactNode } from 'react';
import { padded } from '../theme/surfaces';

const styles = { inside: { ...padded, padding: 0 } } as const;

/** A part of a form that is folded away and says what it is now; a fault inside opens it, since nobody can mend what he does not see. */
export function Fold({ name, now, isFaulty = false, children }: { name: string; now: string; isFaulty?: boolean; children: ReactNode }) {
  const id = useId();
  const [isOpen, setOpen] = useState(false);
  return (
    <Accordion expanded={isOpen || isFaulty} onChange={(_, open) => setOpen(open)}>
      <AccordionSummary id={`${id}-name`} aria-controls={`${id}-inside`}>
        <span>{name}</span>
        <span>{now}</span>
      </AccordionSummary>
      <AccordionDetails>
        <Box sx={styles.inside}>{children}</Box>
      </AccordionDetails>
    </Accordion>
  );
}
