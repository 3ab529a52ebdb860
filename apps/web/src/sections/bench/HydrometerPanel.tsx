import { saltPercentToSalometer, type HydrometerAnswer, type HydrometerScale, type Part } from '@bunkhouse/core';
import { Float } from '../../instruments/Float';
import { Hero } from '../../instruments/Hero';
import { digits } from '../../shell/quantities';
import { SheetNumber, SheetSelect } from './SheetNumber';
import { faultText, useSheetContext } from './useSheet';

const SCALES: readonly (readonly [HydrometerScale, string])[] = [
  ['salometer', 'Salometer, °'],
  ['sg60F', 'Specific gravity'],
  ['baume', 'Baumé, °'],
];

/** What a hydrometer really says, with what the scale alone would have said. */
export function HydrometerPanel({ float }: { float: Part<HydrometerAnswer> | null }) {
  const { sheet, change } = useSheetContext();
  return (
    <section className={`panel wide${float === null ? ' unread' : ''}`} aria-label="Hydrometer reading">
      <div className="ph">
        <h2>Hydrometer reading</h2>
        <span className="aside">it feels density, not salt</span>
      </div>
      <div className="hydrometer">
        <div className="hydrometer-fields">
          <SheetSelect label="Scale" value={sheet.floatScale} options={SCALES} onChange={(floatScale) => change({ floatScale, floatReading: undefined })} />
          <SheetNumber
            field="floatReading"
            label="It reads"
            sign={sheet.floatScale === 'sg60F' ? '' : '°'}
            decimals={sheet.floatScale === 'sg60F' ? 4 : 1}
            optional
            placeholder="not read"
          />
          <SheetNumber field="floatC" label="Sample at" quantity="temperature" />
          <SheetNumber field="floatSugarPercent" label="Sugar in it" sign="%" />
        </div>
        {float === null && <p className="note">Put in what it reads. Sugar lifts the float, warmth sinks it: both are taken out.</p>}
        {float !== null && 'fault' in float && <p className="fault">{faultText(float.fault)}</p>}
        {float !== null && 'value' in float && <Reading answer={float.value} />}
      </div>
    </section>
  );
}

function Reading({ answer: { saltPercent, low, high, uncorrectedSaltPercent } }: { answer: HydrometerAnswer }) {
  const off = uncorrectedSaltPercent - saltPercent;
  return (
    <>
      <div>
        <Hero label="Salt, corrected" value={digits(saltPercent, 1)} unit="% w/w" doubt={`± ${digits((high - low) / 2, 1)}`} />
        <p className="lead">
          {Math.abs(off) < 0.05
            ? 'The scale alone says the same.'
            : `The scale alone says ${digits(uncorrectedSaltPercent, 1)} %: ${digits(Math.abs(off), 1)} too ${off > 0 ? 'much' : 'little'}.`}
        </p>
        <p className="note">
          {digits(saltPercentToSalometer(saltPercent), 1)} ° salometer of salt alone. Source: salometer and density tables; value from memory.
        </p>
      </div>
      <Float reads={saltPercentToSalometer(uncorrectedSaltPercent)} saltAlone={saltPercentToSalometer(saltPercent)} saltWord="truly" />
    </>
  );
}
