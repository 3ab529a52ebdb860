import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { RULE_SETS } from '@bunkhouse/core';
import type { HouseSettings } from '@bunkhouse/api';
import type { FieldValues, Path } from 'react-hook-form';
import { FormChoice, FormPick } from '../kit/form/fields';

const SIDE_BY_SIDE = { display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)', gap: '12px', alignItems: 'start' };

/** How a house counts and writes, and the rules that it begins a batch by: in the request itself, or in a part of it. */
export function CountingFields<T extends FieldValues>({ inside }: { inside?: string }) {
  const at = (field: keyof HouseSettings) => (inside === undefined ? field : `${inside}.${field}`) as Path<T>;
  return (
    <>
      <FormPick<T> name={at('ruleSet')} label="Rules for nitrite in a new batch" hint="Your local code and your inspector decide. A batch may go by others.">
        {Object.entries(RULE_SETS).map(([id, { name }]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </FormPick>
      <Box sx={SIDE_BY_SIDE}>
        <FormChoice<T, HouseSettings['system']> name={at('system')} label="Weights" options={{ metric: 'g, mm', us: 'lb, in' }} />
        <FormChoice<T, HouseSettings['temperature']> name={at('temperature')} label="Temperatures" options={{ C: '°C', F: '°F' }} />
      </Box>
      <Typography variant="note" sx={{ color: 'ink2' }}>
        For devices where nobody chose otherwise.
      </Typography>
      <Box sx={SIDE_BY_SIDE}>
        <FormChoice<T, HouseSettings['dates']> name={at('dates')} label="Days" options={{ dayFirst: '17 Oct', monthFirst: 'Oct 17' }} />
        <FormChoice<T, HouseSettings['clock']>
          name={at('clock')}
          label="Hours"
          options={[
            ['24', '15:30'],
            ['12', '3:30 pm'],
          ]}
        />
      </Box>
      <FormChoice<T, HouseSettings['decimal']> name={at('decimal')} label="Numbers" options={{ point: '3.5 %', comma: '3,5 %' }} />
    </>
  );
}
