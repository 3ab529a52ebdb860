import type { Figure } from '@bunkhouse/core';
import { useState } from 'react';
import type { Preferences } from '../shell/preferences';
import { usePreferences } from '../shell/preferences';
import { digits, inWords, type Quantity } from '../shell/quantities';
import { useSay } from '../shell/reader';
import { Glyph } from '../shell/glyphs';
import { GuideLink } from '../shell/GuideLink';
import { guidePlaceOf } from '../shell/guidePlaces';

/** A figure’s formula with the numbers in, its base, its doubt and its source. */
export function Working({ figures }: { figures: readonly Figure[] }) {
  const say = useSay();
  const preferences = usePreferences();
  const [open, setOpen] = useState(false);
  return (
    <div className={`working${open ? ' open' : ''}`}>
      <button type="button" className="lnk" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Hide the working' : 'Working'}
        <Glyph name="down" size={16} />
      </button>
      {open &&
        figures.map((figure) => (
          <dl key={figure.id}>
            <dt>{say(figure.said.label)}</dt>
            <dd>
              <p>= {say(figure.said.formula)}</p>
              <p className="sum">= {say(figure.said.working)}</p>
              <p className="sum">
                = <b>{figureText(figure, preferences)}</b> {say(figure.said.base)}
              </p>
              <p className="note">{rangeText(figure, preferences)}</p>
              <p className="note">
                Source: {figure.source}. <InGuide figure={figure} />
              </p>
            </dd>
          </dl>
        ))}
    </div>
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
