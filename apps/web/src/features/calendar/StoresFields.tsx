import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { unseen } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { HOUR_MS } from '@bunkhouse/core';
import type { Resource } from '@bunkhouse/core';
import type { HousePlanRequest } from '@bunkhouse/api';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { FormFault, FormMoment, FormNumber, FormWords } from '../../kit/form/fields';
import { STORE_UNITS } from '../../reader/words/clashWords';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  store: {
    display: 'grid',
    gap: '8px',
    padding: '10px 0 6px !important',
    borderTop: `1px solid ${t.hair} !important`,
    '& .MuiButton-text': { justifySelf: 'start' },
  },
  storeRow: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr) auto',
    gap: '10px',
    alignItems: 'end',
    [fold.upright]: { gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)' },
  },
  storeClosed: {
    display: 'grid',
    gridTemplateColumns: 'repeat(3, minmax(0, 1fr)) auto',
    gap: '10px',
    alignItems: 'end',
    [fold.upright]: { gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)' },
  },
} as const;

const KINDS = { refrigerator: 'Refrigerator', smoker: 'Smoker', tub: 'Tubs' } as const;
const ADDED = { refrigerator: 'a refrigerator', smoker: 'a smoker', tub: 'tubs' } as const;
const USUAL_CAPACITY = { refrigerator: 110, smoker: 4, tub: 2 } as const;

/** What the house has: each store with its size, and when it is out of order. */
export function StoresFields({ now }: { now: number }) {
  const { control } = useFormContext<HousePlanRequest>();
  const { fields, append, remove } = useFieldArray({ control, name: 'resources', keyName: 'key' });
  const resources = useWatch({ control, name: 'resources' });
  const add = (kind: Resource['kind']) => {
    const count = resources.filter((other) => other.kind === kind).length + 1;
    const name = count === 1 ? KINDS[kind] : `${KINDS[kind]} ${count}`;
    append({ id: freeId(kind, resources), name, kind, capacity: USUAL_CAPACITY[kind] });
  };
  return (
    <Box sx={looks.stores}>
      <Typography variant="label">Stores</Typography>
      <FormFault<HousePlanRequest> name="resources" />
      {fields.map(({ key, kind }, i) => (
        <StoreFields key={key} i={i} kind={kind} now={now} onRemove={() => remove(i)} />
      ))}
      <Box sx={looks.calendarActs}>
        {(Object.keys(KINDS) as Resource['kind'][]).map((kind) => (
          <Button key={kind} variant="quiet" onClick={() => add(kind)}>
            Add {ADDED[kind]}
          </Button>
        ))}
      </Box>
    </Box>
  );
}

function StoreFields({ i, kind, now, onRemove }: { i: number; kind: Resource['kind']; now: number; onRemove: () => void }) {
  const { control } = useFormContext<HousePlanRequest>();
  const name = useWatch({ control, name: `resources.${i}.name` });
  const { fields: closed, append, remove } = useFieldArray({ control, name: `resources.${i}.closed`, keyName: 'key' });
  return (
    <Box component="fieldset" sx={styles.store}>
      <Box component="legend" sx={unseen}>
        {name}
      </Box>
      <Box sx={styles.storeRow}>
        <FormWords<HousePlanRequest> name={`resources.${i}.name`} label="Name" maxLength={40} />
        <FormNumber<HousePlanRequest>
          name={`resources.${i}.capacity`}
          label={`${name} holds`}
          {...(kind === 'refrigerator' ? { quantity: 'room' as const } : { sign: STORE_UNITS[kind] })}
        />
        <Button variant="quiet" aria-label={`Remove ${name}`} onClick={onRemove}>
          Remove
        </Button>
      </Box>
      {closed.map(({ key }, k) => (
        <Box key={key} sx={styles.storeClosed}>
          <FormMoment<HousePlanRequest> name={`resources.${i}.closed.${k}.from`} label="Out of order from" />
          <FormMoment<HousePlanRequest> name={`resources.${i}.closed.${k}.to`} label="until" />
          <FormWords<HousePlanRequest> name={`resources.${i}.closed.${k}.why`} label="Why" maxLength={80} />
          <Button variant="quiet" aria-label={`${name} is in order after all`} onClick={() => remove(k)}>
            Remove
          </Button>
        </Box>
      ))}
      <Button
        variant="text"
        aria-label={`${name} is out of order for a time`}
        onClick={() => {
          const from = Math.ceil(now / HOUR_MS) * HOUR_MS;
          append({ from: new Date(from).toISOString(), to: new Date(from + 24 * HOUR_MS).toISOString(), why: '' });
        }}
      >
        Out of order for a time
      </Button>
    </Box>
  );
}

function freeId(kind: string, resources: readonly Pick<Resource, 'id'>[]): string {
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? kind : `${kind}-${n}`;
    if (!resources.some((other) => other.id === id)) return id;
  }
}
