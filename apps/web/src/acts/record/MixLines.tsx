import Button from '@mui/material/Button';
import { brineOf, sheetLines, type StepValues } from '@bunkhouse/core';
import type { Batch } from '../../data/batches';
import { NumberField } from '../../kit/NumberField';
import { Glyph } from '../../kit/glyphs';
import { usePreferences } from '../../reader/preferences';
import { inWords, weighedIn } from '../../reader/quantities';
import { asNumber } from './typed';
import { cureName } from '../../reader/words/tradeWords';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { worded } from '../../theme/type';

const styles = {
  mixLines: {
    display: 'grid',
    borderTop: `1px solid ${t.hair}`,
    '& .MuiInputLabel-root': { position: 'absolute', clipPath: 'inset(50%)', width: '1px', height: '1px', overflow: 'hidden' },
    '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { fontSize: '16px', padding: '6px 12px' },
    [fold.phone]: { '& :is(.MuiStack-root, .MuiFormControl-root)': { gridColumn: '1 / -1', order: 3 } },
  },
  line: {
    display: 'grid',
    gridTemplateColumns: 'minmax(220px, 1fr) minmax(150px, 220px) auto',
    gap: '12px',
    alignItems: 'start',
    padding: '7px 8px',
    borderBottom: `1px solid ${t.hair}`,
    borderLeft: '5px solid transparent',
    [fold.phone]: { gridTemplateColumns: '1fr 1fr' },
  },
  cure: { borderLeftColor: t.nitrite.main },
  weighed: { borderLeftColor: `var(--st, ${t.station.cure.main})`, background: `var(--st-wash, ${t.sunk})` },
  target: { display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: '12px', minHeight: '48px', maxWidth: '300px' },
  mixName: { font: worded(17, 20, 500) },
  num: { fontSize: '28px', lineHeight: '30px' },
  ofCure: { color: t.nitrite.ink },
} as const;

/** Mixing as a tick list: each line weighed, or ticked as on the sheet. */
export function MixLines({
  batch,
  stepId,
  values,
  setValue,
  faultAt,
}: {
  batch: Batch;
  stepId: string;
  values: Partial<StepValues>;
  setValue: (name: string, value: number | undefined) => void;
  faultAt: (field: string) => string | undefined;
}) {
  const preferences = usePreferences();
  const { design } = batch.state;
  const brine = batch.state.facts.brines.find((candidate) => candidate.id === brineOf(stepId));
  if (brine === undefined) return null;
  const lines = sheetLines(brine, design).map(({ name, label, g, scale }) => ({
    name,
    label: name === 'cureG' ? cureName(label) : label,
    grams: g,
    quantity: scale === 'cure' ? ('smallMass' as const) : name === 'waterG' ? ('mass' as const) : weighedIn(g, preferences),
    step: scale === 'cure' ? design.cureScaleStepG : design.meatScaleStepG,
  }));
  return (
    <Box component="ul" sx={styles.mixLines}>
      {lines.map(({ name, label, grams, quantity, step }) => {
        const target = Number((Math.round(grams / step) * step).toFixed(4));
        return (
          <Box component="li" key={name} sx={[styles.line, values[name] !== undefined && styles.weighed, name === 'cureG' && styles.cure]}>
            <Box component="span" sx={styles.target}>
              <Box component="span" sx={styles.mixName}>
                {label}
              </Box>
              <Box component="span" sx={[looks.num, styles.num, name === 'cureG' && styles.ofCure]}>
                {inWords(target, quantity, preferences)}
              </Box>
            </Box>
            <NumberField
              label={`${label}, weighed`}
              quantity={quantity}
              value={asNumber(values[name])}
              onChange={(value) => setValue(name, value)}
              error={faultAt(`values.${name}`)}
            />
            <Button onClick={() => setValue(name, target)} aria-label={`${label}: weighed so, ${inWords(target, quantity, preferences)}`}>
              <Glyph name="tick" />
              Weighed so
            </Button>
          </Box>
        );
      })}
    </Box>
  );
}
