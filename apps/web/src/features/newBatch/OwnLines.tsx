import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { BatchRequest } from '@bunkhouse/api';
import type { Spice } from '@bunkhouse/core';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { paired } from '../../theme/surfaces';
import { Choice } from '../../kit/Choice';
import { FormNumber, FormWords } from '../../kit/form/fields';

const MOST_LINES = 24;

/** What goes in beside salt, sugar and cure: the recipe's spices, unless they are left out, and what the cook adds under his own names. */
export function OwnLines({ spices }: { spices: readonly Spice[] }) {
  const { control, setValue } = useFormContext<BatchRequest>();
  const own = useFieldArray({ control, name: 'ownLines' });
  const withoutSpices = useWatch({ control, name: 'withoutSpices' });
  const add = () => own.append({ name: '' } as NonNullable<BatchRequest['ownLines']>[number]);
  return (
    <>
      <Box sx={paired}>
        <FormWords<BatchRequest> mayBe name="lineNames.saltG" label="The salt is called" maxLength={60} hint="Salt when left empty" />
        <FormWords<BatchRequest> mayBe name="lineNames.sugarG" label="The sugar is called" maxLength={60} hint="Sugar when left empty" />
      </Box>
      {spices.length > 0 && (
        <>
          <Choice
            label="The usual spices"
            value={withoutSpices === true ? 'out' : 'in'}
            options={{ in: 'Go in', out: 'Left out' }}
            onChange={(chosen) => setValue('withoutSpices', chosen === 'out' ? true : undefined)}
          />
          <Typography variant="note">{spices.map(({ name }) => name).join('; ')}.</Typography>
        </>
      )}
      {own.fields.map((field, i) => (
        <Box key={field.id} component="fieldset" sx={{ ...paired, border: 0, padding: 0, margin: 0 }} aria-label={`Own line ${i + 1}`}>
          <FormWords<BatchRequest> name={`ownLines.${i}.name`} label={`Line ${i + 1}`} maxLength={60} />
          <FormNumber<BatchRequest> name={`ownLines.${i}.g`} label="Weight of it" quantity="smallMass" />
          <Button variant="text" onClick={() => own.remove(i)}>
            Take line {i + 1} out
          </Button>
        </Box>
      ))}
      {own.fields.length < MOST_LINES && <Button onClick={add}>Add a line of your own</Button>}
    </>
  );
}
