import Chip from '@mui/material/Chip';
import Stack from '@mui/material/Stack';

/** Reasons that are usual here, one tap each: with wet hands nobody types. What is written already stays before it. */
export function ReasonChips({ reasons, written, onWrite }: { reasons: readonly string[]; written: string; onWrite: (text: string) => void }) {
  const standing = written.trim();
  const offered = reasons.filter((reason) => !standing.includes(reason));
  return (
    <Stack direction="row" role="group" aria-label="Usual reasons" sx={{ flexWrap: 'wrap', gap: '8px' }}>
      {offered.map((reason) => (
        <Chip key={reason} label={reason} onClick={() => onWrite(standing === '' ? reason : `${standing.replace(/[.;]$/, '')}; ${reason}`)} />
      ))}
    </Stack>
  );
}
