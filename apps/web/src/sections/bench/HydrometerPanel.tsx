import { useSay } from '../../shell/reader';
import { checkAt, checkPoints, saltPercentToSalometer, type HydrometerAnswer, type HydrometerScale, type Part } from '@bunkhouse/core';
import type { ToolResponse } from '@bunkhouse/api';
import { useTools } from '../../data/tools';
import { Float } from '../../instruments/Float';
import { Hero } from '../../instruments/Hero';
import { GuideLink } from '../../shell/GuideLink';
import { digits } from '../../shell/quantities';
import { SheetNumber, SheetSelect } from './SheetNumber';
import { faultOf, useSheetContext } from './useSheet';

const SCALES: readonly (readonly [HydrometerScale, string])[] = [
  ['salometer', 'Salometer, °'],
  ['sg60F', 'Specific gravity'],
  ['baume', 'Baumé, °'],
];

/** At which most hydrometers are made to be right, °C. */
const AT_60F = 15.6;

/** What a hydrometer really says, with what the scale alone would have said. */
export function HydrometerPanel({ float }: { float: Part<HydrometerAnswer> | null }) {
  const { sheet, change } = useSheetContext();
  const say = useSay();
  return (
    <section className={`panel wide${float === null ? ' unread' : ''}`} aria-label="Hydrometer reading">
      <div className="ph">
        <h2>Hydrometer reading</h2>
        <span className="aside">
          it feels density, not salt <GuideLink to="hydrometer" of="Hydrometer" />
        </span>
      </div>
      <div className="hydrometer">
        <div className="hydrometer-fields">
          <WhichHydrometer />
          <SheetSelect
            label="Scale"
            value={sheet.floatScale}
            options={SCALES}
            onChange={(floatScale) => change({ floatScale, floatReading: undefined, floatOff: 0, floatCalibrationC: AT_60F })}
          />
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
        {float !== null && 'fault' in float && <p className="fault">{say(faultOf(float.fault))}</p>}
        {float !== null && 'value' in float && <Reading answer={float.value} />}
      </div>
    </section>
  );
}

/** One of the house's own, with what it is off by its last check. */
function WhichHydrometer() {
  const { sheet, change } = useSheetContext();
  const { data: tools = [] } = useTools();
  const own = tools.flatMap((tool) => (tool.size.kind === 'hydrometer' && !tool.putAway ? [{ id: tool.id, name: tool.name, ...settingsOf(tool) }] : []));
  if (own.length === 0) return null;
  const chosen = own.find(
    ({ floatScale, floatOff, floatCalibrationC }) =>
      floatScale === sheet.floatScale && floatOff === sheet.floatOff && floatCalibrationC === sheet.floatCalibrationC,
  );
  return (
    <div>
      <SheetSelect
        label="Which one"
        value={chosen?.id ?? ''}
        options={[['', 'Another one'] as const, ...own.map(({ id, name }) => [id, name] as const)]}
        onChange={(id) => {
          const { floatScale, floatOff, floatCalibrationC } = own.find((one) => one.id === id) ?? {
            floatScale: sheet.floatScale,
            floatOff: 0,
            floatCalibrationC: AT_60F,
          };
          change({ floatScale, floatOff, floatCalibrationC, ...(floatScale === sheet.floatScale ? {} : { floatReading: undefined }) });
        }}
      />
      {sheet.floatOff !== 0 && (
        <small className="hint">
          Shows {digits(Math.abs(sheet.floatOff), sheet.floatScale === 'sg60F' ? 4 : 1)} too {sheet.floatOff > 0 ? 'much' : 'little'} in plain water: taken out.
        </small>
      )}
    </div>
  );
}

/** What a hydrometer is right at, and what it shows too much. */
function settingsOf({ size, checks }: ToolResponse): { floatScale: HydrometerScale; floatOff: number; floatCalibrationC: number } {
  if (size.kind !== 'hydrometer') return { floatScale: 'salometer', floatOff: 0, floatCalibrationC: AT_60F };
  const last = checkAt(checks, Infinity);
  const [point] = last === undefined ? [] : checkPoints(size, last.reading);
  // To a ten-thousandth: it stands in an address.
  const floatOff = point === undefined ? 0 : Number((point.shown - point.should).toFixed(4));
  return { floatScale: size.scale, floatOff, floatCalibrationC: size.calibrationC };
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
