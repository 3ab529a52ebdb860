import { useSay } from '../../shell/reader';
import { type BenchSheet, type Figure, type Part, type Tub, type TubShape, waterToCoverG } from '@bunkhouse/core';
import { useMemo } from 'react';
import { Hero } from '../../instruments/Hero';
import { piecesLie, TubPicture } from '../../instruments/TubPicture';
import { Working } from '../../instruments/Working';
import { Choice } from '../../shell/Choice';
import { usePreferences } from '../../shell/preferences';
import { digits, inWords } from '../../shell/quantities';
import { SheetNumber } from './SheetNumber';
import { faultOf, type ChangeSheet } from './useSheet';
import { PRODUCT_NAMES } from '../../shell/tradeWords';

const SHAPES: Record<TubShape, string> = { bag: 'Bag', rectangular: 'Box', round: 'Round tub' };

/** What it lies in: enough to cover, room for it, and what holds it down. */
export function TubPanel({ sheet, tub, change, figures }: { sheet: BenchSheet; tub: Part<Tub>; change: ChangeSheet; figures: Figure[] }) {
  const preferences = usePreferences();
  const say = useSay();
  return (
    <section className="panel" aria-label="Tub or bag">
      <div className="ph">
        <h2>Tub or bag</h2>
        {'value' in tub && <span className="aside">{inWords(tub.value.brineML, 'volume', preferences)} of brine</span>}
      </div>
      <div className="pad">
        <Choice label="It lies in a" value={sheet.tub} options={SHAPES} onChange={(shape) => change({ tub: shape })} />
        {'fault' in tub ? <p className="fault">{say(faultOf(tub.fault))}</p> : <InTub sheet={sheet} tub={tub.value} change={change} />}
        {'value' in tub && <Working figures={figures} />}
        {sheet.tub !== 'bag' && (
          <div className="trio">
            <SheetNumber field="tubLengthMm" label={sheet.tub === 'round' ? 'Across' : 'Long'} quantity="length" />
            {sheet.tub === 'rectangular' && <SheetNumber field="tubWidthMm" label="Wide" quantity="length" />}
            <SheetNumber field="tubHeightMm" label="High" quantity="length" />
            <SheetNumber field="coverMm" label="Cover it by" quantity="length" />
            <SheetNumber field="shelfMm" label="Shelf room" quantity="length" />
          </div>
        )}
      </div>
    </section>
  );
}

function InTub({ sheet, tub, change }: { sheet: BenchSheet; tub: Tub; change: ChangeSheet }) {
  const preferences = usePreferences();
  const { cover } = tub;
  const short = cover !== null && !tub.covered && sheet.door === 'want';
  const waterG = useMemo(() => (short ? waterToCoverG(sheet) : null), [short, sheet]);
  return (
    <>
      {cover !== null && <TubPicture tub={tub} pieceLengthMm={sheet.lengthMm} name={PRODUCT_NAMES[sheet.product]} />}
      <div className="pair">
        {cover === null ? (
          <Hero size="md" label="Brine" value={digits(tub.brinePerMeat, 0)} unit="% of the meat" />
        ) : (
          <Hero size="md" label="Brine to cover" value={digits(cover.brineML / 1000, 1)} unit="L" />
        )}
        <Hero size="md" label="To hold it down" value={digits(tub.holdDownG, 0)} unit="g, in brine" />
      </div>
      <ul className="said">
        {(cover === null ? bagSays(tub) : tubSays(sheet, tub, cover)).map((sentence) => (
          <li key={sentence.text} className={sentence.bad ? 'bad' : undefined}>
            {sentence.text}
          </li>
        ))}
        <li>
          {tub.holdDownG > 0
            ? `It floats. A stone of ${inWords(tub.stoneG, 'mass', preferences)} on a plate holds it under; a jar of water weighs nothing in brine. Or turn it daily.`
            : 'It sinks in this brine. Turn it daily all the same: lying on its side closes that side.'}
        </li>
      </ul>
      {waterG !== null && (
        <button type="button" className="btn" onClick={() => change({ waterG })}>
          Take {inWords(waterG, 'mass', preferences)} of water, to cover it
        </button>
      )}
    </>
  );
}

interface Sentence {
  text: string;
  bad?: boolean;
}

function bagSays({ brinePerMeat }: Tub): Sentence[] {
  if (brinePerMeat < 10) return [{ text: 'So little does not reach every side: press the air out, and turn it twice a day.', bad: true }];
  if (brinePerMeat > 90) return [{ text: 'So much is more than a close bag needs: 40 to 50 % of the meat is usual.' }];
  return [{ text: 'In a close-fitting bag with the air pressed out; 40 to 50 % of the meat is usual.' }];
}

function tubSays(sheet: BenchSheet, tub: Tub, cover: NonNullable<Tub['cover']>): Sentence[] {
  const says: Sentence[] = [];
  const shortML = cover.brineML - tub.brineML;
  if (cover.headroomMm < 0)
    says.push({ text: `It runs over: the level it needs is ${digits(-cover.headroomMm, 0)} mm above the rim. Take a higher tub or less cover.`, bad: true });
  else if (!piecesLie(tub, sheet.lengthMm)) says.push({ text: 'They do not lie flat in it. Take a longer or wider tub.', bad: true });
  else if (cover.headroomMm < 30) says.push({ text: `Only ${digits(cover.headroomMm, 0)} mm to the rim: it spills when it is turned.`, bad: true });
  else says.push({ text: `${digits(cover.headroomMm, 0)} mm stay free to the rim.` });
  if (shortML > 1) says.push({ text: `Not covered: ${digits(shortML / 1000, 1)} L are missing.`, bad: true });
  if (tub.onShelf === false) says.push({ text: 'Too high for the shelf.', bad: true });
  if (tub.onShelf === true) says.push({ text: 'It goes on the shelf.' });
  says.push({ text: `Rule of thumb, a US gallon for 4 to 5 lb: ${digits((sheet.greenG / 453.6 / 4.5) * 3.785, 1)} L.` });
  return says;
}
