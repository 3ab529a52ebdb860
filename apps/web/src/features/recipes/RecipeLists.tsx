import Typography from '@mui/material/Typography';
import { WordsField } from '../../kit/WordsField';
import Button from '@mui/material/Button';
import { STATION_NAMES, STATIONS, type OwnCheck, type Spice } from '@bunkhouse/core';
import { Pick } from '../../kit/Pick';
import { NumberField } from '../../kit/NumberField';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';

const styles = {
  lines: { display: 'grid', gap: '8px', justifyItems: 'start' },
  lineRow: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr) auto',
    gap: '10px',
    alignItems: 'end',
    width: '100%',
    [fold.middle]: { gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)' },
  },
} as const;

/** Words of a recipe, in a line or in some. */
export function Words({
  label,
  value,
  onChange,
  error,
  long = false,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
  error: string | undefined;
  long?: boolean;
}) {
  return <WordsField label={label} value={value} onChange={onChange} error={error} {...(long ? { rows: 2 } : {})} />;
}

/** Spices, a line each. */
export function Spices({ spices, at, onChange }: { spices: Spice[]; at: (field: string) => string | undefined; onChange: (spices: Spice[]) => void }) {
  const change = (i: number, changes: Partial<Spice>) => onChange(spices.map((spice, k) => (k === i ? { ...spice, ...changes } : spice)));
  return (
    <Box component="fieldset" sx={styles.lines}>
      <Typography variant="label" component="legend">
        Spice, for each kg of meat
      </Typography>
      {spices.map((spice, i) => (
        <Box key={i} sx={styles.lineRow}>
          <Words label={`Spice ${i + 1}`} value={spice.name} error={at(`spices.${i}.name`)} onChange={(name) => change(i, { name })} />
          <NumberField
            label="For each kg"
            sign="g"
            decimals={1}
            value={spice.gPerKg}
            error={at(`spices.${i}.gPerKg`)}
            onChange={(g) => change(i, { gPerKg: g ?? Number.NaN })}
          />
          <Button variant="text" onClick={() => onChange(spices.filter((_, k) => k !== i))}>
            leave out
          </Button>
        </Box>
      ))}
      <Button variant="text" onClick={() => onChange([...spices, { name: '', gPerKg: 1 }])}>
        One more spice
      </Button>
    </Box>
  );
}

/** What the house looks at besides, a line each. */
export function Checks({ checks, at, onChange }: { checks: OwnCheck[]; at: (field: string) => string | undefined; onChange: (checks: OwnCheck[]) => void }) {
  const change = (i: number, changes: Partial<OwnCheck>) => onChange(checks.map((check, k) => (k === i ? { ...check, ...changes } : check)));
  return (
    <Box component="fieldset" sx={styles.lines}>
      <Typography variant="label" component="legend">
        What the house looks at, besides
      </Typography>
      {checks.map((check, i) => (
        <Box key={i} sx={styles.lineRow}>
          <Pick label="Station" value={check.station} onChange={(chosen) => change(i, { station: chosen })}>
            {STATIONS.map((station) => (
              <option key={station} value={station}>
                {STATION_NAMES[station]}
              </option>
            ))}
          </Pick>
          <Words label="Look at" value={check.say} error={at(`checks.${i}.say`)} onChange={(say) => change(i, { say })} />
          <Button variant="text" onClick={() => onChange(checks.filter((_, k) => k !== i))}>
            leave out
          </Button>
        </Box>
      ))}
      <Button variant="text" onClick={() => onChange([...checks, { station: 'prep', say: '' }])}>
        One more thing to look at
      </Button>
    </Box>
  );
}
