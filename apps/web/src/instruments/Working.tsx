import type { Figure } from '@bunkhouse/core';
import { useState } from 'react';
import { digits } from '../shell/quantities';
import { said } from '../shell/language';
import { Glyph } from '../shell/glyphs';
import { GuideLink } from '../shell/GuideLink';
import { guidePlaceOf } from '../shell/guidePlaces';

/** A figure’s formula with the numbers in, its base, its doubt and its source. */
export function Working({ figures }: { figures: readonly Figure[] }) {
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
            <dt>{figure.label}</dt>
            <dd>
              <p>= {figure.formula}</p>
              <p className="sum">= {said(figure.working)}</p>
              <p className="sum">
                = <b>{figureText(figure)}</b> {figure.base}
              </p>
              <p className="note">{rangeText(figure)}</p>
              <p className="note">
                Source: {figure.source}. <InGuide figure={figure} />
              </p>
            </dd>
          </dl>
        ))}
    </div>
  );
}

function InGuide({ figure: { id, label } }: { figure: Figure }) {
  const place = guidePlaceOf(id);
  return place === null ? null : <GuideLink to={place} of={label} />;
}

const decimalsOf = ({ unit }: Figure) => (unit === 'ppm' ? 1 : 2);

/** `149.8 ppm` */
export const figureText = (figure: Figure): string => `${digits(figure.value, decimalsOf(figure))} ${figure.unit}`;

function rangeText(figure: Figure): string {
  if (figure.high - figure.low < 0.005) return 'As planned: no weighing stands behind it yet.';
  return `From ${digits(figure.low, decimalsOf(figure))} to ${digits(figure.high, decimalsOf(figure))} ${figure.unit} with the steps of the scales.`;
}
