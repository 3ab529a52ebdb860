import Button from '@mui/material/Button';
import { useDevices, useWeights } from '../../data/readings';
import { Glyph } from '../../kit/glyphs';
import { usePreferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';
import { useNow } from '../../data/useNow';

const styles = {
  fromScale: { justifyContent: 'flex-start', fontSize: '17px', '& small': { marginLeft: 'auto' } },
} as const;

/** What a scale said so long ago is still so, ms. */
const FRESH_MS = 45_000;

/** Takes the weight from the house's scale, once it has settled. Nothing where no scale is heard. */
export function FromScale({ label, onTake }: { label: string; onTake: (g: number) => void }) {
  const preferences = usePreferences();
  const { data: devices = [] } = useDevices();
  const weights = useWeights();
  const now = useNow();
  const scales = devices.filter(({ kind }) => kind === 'scale');
  const shown = scales.flatMap(({ id, simulated, weight }) => {
    const last = weights.get(id) ?? weight;
    return last === null || now - Date.parse(last.at) > FRESH_MS ? [] : [{ ...last, id, simulated }];
  });
  return shown.map(({ id, g, stable, simulated }) => (
    <Button
      key={id}
      variant="quiet"
      sx={styles.fromScale}
      disabled={!stable || g <= 0}
      onClick={() => onTake(g)}
      aria-label={`${label}: take ${inWords(g, 'mass', preferences)} from the scale`}
    >
      <Glyph name="weigh" />
      {inWords(g, 'mass', preferences)}
      <small>
        {stable ? 'on the scale' : 'settles'}
        {simulated && ', simulated'}
      </small>
    </Button>
  ));
}
