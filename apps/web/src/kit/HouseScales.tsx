import Button from '@mui/material/Button';
import { scaleSteps } from '@bunkhouse/core';
import { useTools } from '../data/tools';
import { usePreferences } from '../reader/preferences';
import { inWords } from '../reader/quantities';

interface Steps {
  cureScaleStepG: number;
  meatScaleStepG: number;
}

/** Offers the steps of the house's own scales where others are reckoned with. */
export function HouseScales({ cureScaleStepG, meatScaleStepG, onTake }: Steps & { onTake: (steps: Steps) => void }) {
  const { data: tools = [] } = useTools();
  const preferences = usePreferences();
  const own = scaleSteps(tools);
  if (own === null || (own.cureScaleStepG === cureScaleStepG && own.meatScaleStepG === meatScaleStepG)) return null;
  return (
    <Button variant="text" onClick={() => onTake(own)}>
      The house’s scales step by {inWords(own.meatScaleStepG, 'smallMass', preferences)} and {inWords(own.cureScaleStepG, 'smallMass', preferences)}: take these
    </Button>
  );
}
