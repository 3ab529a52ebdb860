import Box from '@mui/material/Box';
import { paired } from '../../theme/surfaces';
import { benchWaterG, PRODUCTS, RULE_SET_IDS, RULE_SETS, usualSheet, type Product, type RuleSetId, productOf } from '@bunkhouse/core';
import { Choice } from '../../kit/Choice';
import { SheetNumber, SheetSelect } from './SheetNumber';
import { useSheetContext } from './useSheet';
import { PRODUCT_NAMES } from '../../reader/words/tradeWords';
import { looks } from '../../theme/looks';

const styles = {
  trio: { gridTemplateColumns: 'repeat(3, minmax(0, 1fr))' },
} as const;

/** The piece, and whose rules hold. */
export function MeatFields() {
  const { sheet, change } = useSheetContext();
  const chooseProduct = (product: Product) => {
    const { greenG, shape, thicknessMm, lengthMm, school, days, aimPpm, tubLengthMm } = usualSheet(product);
    const waterG = benchWaterG(school, greenG);
    const aim = sheet.ruleSet === 'us' ? { aimPpm } : {};
    change(
      sheet.door === 'want'
        ? { product, greenG, shape, thicknessMm, lengthMm, school, days, waterG, tubLengthMm, skinOn: false, ...aim }
        : { product, shape, thicknessMm, lengthMm, tubLengthMm, skinOn: false, ...aim },
    );
  };
  return (
    <>
      <Box sx={paired}>
        <SheetSelect label="What it is to be" value={sheet.product} options={PRODUCTS.map((id) => [id, PRODUCT_NAMES[id]] as const)} onChange={chooseProduct} />
        <SheetSelect
          label="Whose rules"
          value={sheet.ruleSet}
          options={RULE_SET_IDS.map((id) => [id, id === 'house' ? 'House rules' : RULE_SETS[id].name] as const)}
          onChange={(ruleSet: RuleSetId) => change({ ruleSet, ...(ruleSet === 'house' ? {} : { aimPpm: aimUnder(ruleSet, sheet.product) }) })}
        />
      </Box>
      {sheet.ruleSet === 'house' && (
        <Box sx={paired}>
          <SheetNumber field="houseLimit" label="House limit" sign="ppm" />
          <SheetNumber field="houseFloor" label="House floor" sign="ppm" />
        </Box>
      )}
      <Box sx={paired}>
        <SheetNumber field="greenG" label="Weight, all pieces" quantity="mass" />
        <SheetNumber field="pieces" label="Pieces" sign="" />
      </Box>
      <Box sx={[looks.trio, styles.trio]}>
        <SheetSelect
          label="Shape"
          value={sheet.shape}
          options={[
            ['round', 'Round'],
            ['slab', 'Flat'],
          ]}
          onChange={(shape) => change({ shape })}
        />
        <SheetNumber field="thicknessMm" label={sheet.shape === 'slab' ? 'Thickness' : 'Diameter'} quantity="length" />
        <SheetNumber field="lengthMm" label="Length" quantity="length" />
      </Box>
      {productOf(sheet.product).limits === 'belly' && (
        <Choice
          label="Skin"
          value={sheet.skinOn ? 'on' : 'off'}
          options={{ off: 'Off', on: 'On: it takes up nothing' }}
          onChange={(skin) => change({ skinOn: skin === 'on' })}
        />
      )}
    </>
  );
}

/** The usual aim under a rule set, never over what bacon of belly may have. */
const aimUnder = (ruleSet: Exclude<RuleSetId, 'house'>, product: Product): number => {
  const rules = RULE_SETS[ruleSet];
  return productOf(product).limits === 'belly' ? Math.min(rules.usualTarget, rules.bellyLimit) : rules.usualTarget;
};
