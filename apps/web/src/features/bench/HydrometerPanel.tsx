import Typography from '@mui/material/Typography';
import { Panel } from '../../kit/Panel';
import { useSay } from '../../reader/reader';
import { checkAt, checkPoints, saltPercentToSalometer, type HydrometerAnswer, type HydrometerScale, type Part } from '@bunkhouse/core';
import type { ToolResponse } from '@bunkhouse/api';
import { useTools } from '../../data/tools';
import { Float } from '../../charts/Float';
import { Hero } from '../../kit/Hero';
import { GuideLink } from '../../kit/GuideLink';
import { digits } from '../../reader/quantities';
import { SheetNumber, SheetSelect } from './SheetNumber';
import { faultOf, useSheetContext } from './useSheet';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';

const styles = {
  wide: { gridColumn: '1 / -1' },
  unread: { [fold.paper]: { display: 'none !important' } },
  hydrometer: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 230px)',
    gap: '12px 20px',
    padding: '12px',
    alignItems: 'start',
    [fold.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  hydrometerFields: { gridColumn: '1 / -1', display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))', gap: '10px' },
} as const;

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
    <Panel
      sx={[styles.wide, float === null && styles.unread]}
      title="Hydrometer reading"
      label="Hydrometer reading"
      aside={
        <>
          it feels density, not salt <GuideLink to="hydrometer" of="Hydrometer" />
        </>
      }
    >
      <Box sx={styles.hydrometer}>
        <Box sx={styles.hydrometerFields}>
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
        </Box>
        {float === null && <Typography variant="note">Put in what it reads. Sugar lifts the float, warmth sinks it: both are taken out.</Typography>}
        {float !== null && 'fault' in float && <Typography variant="fault">{say(faultOf(float.fault))}</Typography>}
        {float !== null && 'value' in float && <Reading answer={float.value} />}
      </Box>
    </Panel>
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
        <small>
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
        <Box component="p" sx={looks.lead}>
          {Math.abs(off) < 0.05
            ? 'The scale alone says the same.'
            : `The scale alone says ${digits(uncorrectedSaltPercent, 1)} %: ${digits(Math.abs(off), 1)} too ${off > 0 ? 'much' : 'little'}.`}
        </Box>
        <Typography variant="note">
          {digits(saltPercentToSalometer(saltPercent), 1)} ° salometer of salt alone. Source: salometer and density tables; value from memory.
        </Typography>
      </div>
      <Float reads={saltPercentToSalometer(uncorrectedSaltPercent)} saltAlone={saltPercentToSalometer(saltPercent)} saltWord="truly" />
    </>
  );
}
