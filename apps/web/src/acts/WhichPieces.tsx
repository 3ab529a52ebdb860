import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useFormContext, useWatch } from 'react-hook-form';
import { FormFault } from '../kit/form/fields';
import { Tick } from '../kit/Tick';

const styles = { border: 0, margin: 0, padding: 0, display: 'flex', flexWrap: 'wrap', gap: '0 14px' } as const;

/** Which of several pieces, in a form that says them as `pieces`. */
export function WhichPieces({ codes, legend }: { codes: readonly string[]; legend: string }) {
  const { control, setValue } = useFormContext<{ pieces: string[] }>();
  const chosen = useWatch({ control, name: 'pieces' });
  return (
    <Box component="fieldset" sx={styles}>
      <Typography variant="label" component="legend">
        {legend}
      </Typography>
      {codes.map((code) => (
        <Tick
          key={code}
          label={code}
          checked={chosen.includes(code)}
          onChange={(isIn) => setValue('pieces', isIn ? codes.filter((one) => one === code || chosen.includes(one)) : chosen.filter((one) => one !== code))}
        />
      ))}
      <FormFault<{ pieces: string[] }> name="pieces" />
    </Box>
  );
}
