import Button from '@mui/material/Button';
import { HousePlanRequest } from '@bunkhouse/api';
import type { HousePlan } from '@bunkhouse/core';
import { FormPick } from '../../kit/form/fields';
import { SavingForm } from '../../kit/form/SavingForm';
import { useRequestForm } from '../../kit/form/useRequestForm';
import { asAsked, changeHousePlan } from '../../data/housePlan';
import { useWho } from '../../data/who';

/** By whose clocks the house works. */
export function TimeZoneField({ plan }: { plan: HousePlan }) {
  const { name } = useWho();
  const of = useRequestForm(HousePlanRequest, { first: asAsked(plan, name), send: changeHousePlan });
  const own = plan.hours.timeZone;
  const zones = [...new Set([own, ...Intl.supportedValuesOf('timeZone'), 'UTC'])];
  return (
    <SavingForm
      of={of}
      acts={
        of.form.watch('timeZone') !== own && (
          <Button type="submit" aria-disabled={of.busy}>
            Keep this time zone
          </Button>
        )
      }
    >
      <FormPick<HousePlanRequest> name="timeZone" label="Time zone of the house">
        {zones.map((zone) => (
          <option key={zone} value={zone}>
            {zone.replaceAll('_', ' ')}
          </option>
        ))}
      </FormPick>
    </SavingForm>
  );
}
