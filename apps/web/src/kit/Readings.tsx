import Typography from '@mui/material/Typography';
import { sum, type BatchFacts, type BatchFigures } from '@bunkhouse/core';
import { usePreferences } from '../reader/preferences';
import { digits, inWords } from '../reader/quantities';
import { Hero } from './Hero';
import { Working } from './Working';
import Box from '@mui/material/Box';
import { looks } from '../theme/looks';
import { t } from '../theme/tokens';
import { signed } from '../theme/type';

const styles = {
  weights: {
    padding: '12px',
    display: 'grid',
    gap: '10px',
    '& dl > div': { display: 'flex', justifyContent: 'space-between', gap: '12px', padding: '4px 0', borderTop: `1px solid ${t.hair}` },
    '& dt': { color: t.ink2 },
    '& dd': { font: signed(17, 20, 600), textAlign: 'right' },
  },
} as const;

/** Salt when even, and the weights along the way. */
export function Readings({ figures, facts }: { figures: BatchFigures; facts: BatchFacts }) {
  const preferences = usePreferences();
  const grams = (g: number) => inWords(g, 'mass', preferences);
  const pulled = sum(facts.pulledG);
  const { salt } = figures;
  return (
    <Box component="section" sx={[looks.panel, styles.weights]} aria-label="Salt and weights">
      <Hero label="Salt, when meat and brine are even" value={digits(salt.value, 2)} unit="%" doubt={`± ${digits((salt.high - salt.low) / 2, 2)}`}>
        <Typography variant="note">of meat and water</Typography>
      </Hero>
      <dl>
        <div>
          <dt>Green</dt>
          <dd>
            {grams(sum(facts.greenG))} <small>{facts.greenWeighed ? 'weighed' : 'as planned'}</small>
          </dd>
        </div>
        <div>
          <dt>Pulled</dt>
          <dd>{pulled > 0 ? `${grams(pulled)}, ${digits((pulled / sum(facts.greenG)) * 100, 1)} %` : <small>– not weighed</small>}</dd>
        </div>
        <div>
          <dt>Packed</dt>
          <dd>
            {facts.packedG === null || figures.yield === null ? <small>– not weighed</small> : `${grams(facts.packedG)}, ${digits(figures.yield.value, 1)} %`}
          </dd>
        </div>
      </dl>
      <Working figures={figures.yield === null ? [salt] : [salt, figures.yield]} />
    </Box>
  );
}
