import { HouseScales } from '../../kit/HouseScales';
import { useSheetContext } from './useSheet';

/** The steps of the house's scales, for this sheet. */
export function BenchScales() {
  const { sheet, change } = useSheetContext();
  return (
    <HouseScales
      cureScaleStepG={sheet.cureStepG}
      meatScaleStepG={sheet.meatStepG}
      onTake={({ cureScaleStepG: cureStepG, meatScaleStepG: meatStepG }) => change({ cureStepG, meatStepG })}
    />
  );
}
