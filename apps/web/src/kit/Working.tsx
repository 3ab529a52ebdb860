import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import type { Figure } from '@bunkhouse/core';
import { useState } from 'react';
import type { Preferences } from '../reader/preferences';
import { usePreferences } from '../reader/preferences';
import { digits, inWords, type Quantity } from '../reader/quantities';
import { useSay } from '../reader/reader';
import { Glyph } from './glyphs';
import { GuideLink } from './GuideLink';
import { guidePlaceOf } from '../reader/words/guidePlaces';
import Box from '@mui/material/Box';
import { fold } from '../theme/folds';
import { t } from '../theme/tokens';
import { signed } from '../theme/type';

const styles = {
  working: {
    display: 'contents',
    '& > .MuiButton-text': { alignSelf: 'flex-start', margin: '4px 0' },
    '& dl': { flexBasis: '100%', background: t.sunk, padding: '10px 12px', borderLeft: `3px solid ${t.hair2}`, marginTop: '8px' },
    '& dt': { font: signed(15, 20, 600) },
    [fold.paper]: { display: 'none !important' },
  },
  sum: { font: signed(16, 22, 500) },
} as const;

/** A figure’s formula with the numbers in, its base, its doubt and its source. */
export function Working({ figures }: { figures: readonly Figure[] }) {
  const say = useSay();
  const preferences = usePreferences();
  const [open, setOpen] = useState(false);
  return (
    <Box sx={styles.working}>
      <Button variant="text" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Hide the working' : 'Working'}
        <Glyph name="down" size={16} />
      </Button>
      {open &&
        figures.map((figure) => (
          <dl key={figure.id}>
            <dt>{say(figure.said.label)}</dt>
            <dd>
              <p>= {say(figure.said.formula)}</p>
              <Box component="p" sx={styles.sum}>
                = {say(figure.said.working)}
              </Box>
              <Box component="p" sx={styles.sum}>
                = <b>{figureText(figure, preferences)}</b> {say(figure.said.base)}
              </Box>
              <Typography variant="note">{rangeText(figure, preferences)}</Typography>
              <Typography variant="note">
                Source: {figure.source}. <InGuide figure={figure} />
              </Typography>
            </dd>
          </dl>
        ))}
    </Box>
  );
}

function InGuide({ figure: { id, said } }: { figure: Figure }) {
  const say = useSay();
  const place = guidePlaceOf(id);
  return place === null ? null : <GuideLink to={place} of={say(said.label)} />;
}

const decimalsOf = ({ unit }: Figure) => (unit === 'ppm' ? 1 : 2);

/** `149.8 ppm` */
export const figureText = (figure: Figure, shown: Preferences): string => inFigure(figure, figure.value, shown);

const QUANTITIES: Readonly<Record<string, Quantity>> = { g: 'mass', mL: 'volume' };

function inFigure(figure: Figure, value: number, shown: Preferences): string {
  const quantity = QUANTITIES[figure.unit];
  return quantity === undefined ? `${digits(value, decimalsOf(figure))} ${figure.unit}` : inWords(value, quantity, shown, shown.system === 'us' ? 2 : 1);
}

function rangeText(figure: Figure, shown: Preferences): string {
  if (figure.high - figure.low < 0.005) return 'As planned: no weighing stands behind it yet.';
  return `From ${inFigure(figure, figure.low, shown)} to ${inFigure(figure, figure.high, shown)} with the steps of the scales.`;
}
