import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';

/** Yes or no, with its word. */
export const Tick = ({ label, checked, onChange }: { label: string; checked: boolean; onChange: (checked: boolean) => void }) => (
  <FormControlLabel label={label} control={<Checkbox checked={checked} onChange={(_event, next) => onChange(next)} />} />
);
