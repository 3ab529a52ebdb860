import Box from '@mui/material/Box';
import { padded } from '../../theme/surfaces';
import { Panel } from '../../kit/Panel';
import { useSay } from '../../reader/reader';
import { pumpFigures, sheetSection, type BenchSheet, type Worked } from '@bunkhouse/core';
import { Hero } from '../../kit/Hero';
import { NeedleMap } from '../../charts/NeedleMap';
import { Working } from '../../kit/Working';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords, atSite } from '../../reader/quantities';
import { SheetNumber } from './SheetNumber';
import { faultOf } from './useSheet';
import { facts } from './facts';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  trio: { gridTemplateColumns: 'repeat(3, minmax(0, 1fr))' },
  wide: { gridColumn: '1 / -1' },
  pumpBench: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1.7fr) minmax(180px, 1fr)',
    gap: '16px',
    padding: '12px 12px 0',
    alignItems: 'start',
    [fold.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  pumpWords: { display: 'grid', gap: '8px', '& > .MuiButton-text': { justifySelf: 'start' } },
  actual: {
    borderTop: `1px solid ${t.hair}`,
    gridTemplateColumns: 'auto auto 1fr',
    gap: '12px 28px',
    alignItems: 'center',
    [fold.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
} as const;

/** The strokes and the sites of the needle, and what they came to. */
export function PumpPanel({ sheet, pump }: { sheet: BenchSheet; pump: NonNullable<Worked['pump']> }) {
  const say = useSay();
  const preferences = usePreferences();
  if ('fault' in pump) {
    return (
      <Panel title="Pump" sx={styles.wide} label="Pump">
        <Box component="p" sx={[looks.fault, looks.pad]}>
          {say(faultOf(pump.fault))}
        </Box>
        <PumpFields />
      </Panel>
    );
  }
  const { plan, map, actual } = pump.value;
  return (
    <Panel title="Pump" aside={sheet.pieces > 1 ? 'each piece' : 'around bone and joints first'} sx={styles.wide} label="Pump">
      <Box sx={styles.pumpBench}>
        <NeedleMap map={map} section={sheetSection(sheet)} lengthMm={sheet.lengthMm} mLPerSite={plan.mLPerSite} />
        <Box sx={styles.pumpWords}>
          <Hero label="To pump" value={inWords(plan.brineG, 'mass', preferences).split(' ')[0] ?? ''} unit={preferences.system === 'us' ? 'lb' : 'g'} />
          <Box component="dl" sx={facts}>
            <div>
              <dt>strokes</dt>
              <dd>
                {plan.strokes} of {inWords(sheet.syringeML, 'volume', preferences)}
              </dd>
            </div>
            <div>
              <dt>needle sites</dt>
              <dd>{plan.sites}</dd>
            </div>
            <div>
              <dt>at each</dt>
              <dd>{atSite(plan.mLPerSite, preferences)}</dd>
            </div>
          </Box>
          <Working figures={pumpFigures(sheet, pump.value)} />
        </Box>
      </Box>
      <PumpFields />
      {actual !== null && (
        <Box sx={[styles.actual, padded]}>
          <Hero label="It took" value={digits(actual.percent, 1)} unit="% of green" />
          <Hero label="Ingoing from the pump" value={digits(actual.ppm, 0)} unit="ppm" tone="nitrite" />
          <Box component="p" sx={looks.lead}>
            {say(actual.say)}
          </Box>
        </Box>
      )}
    </Panel>
  );
}

function PumpFields() {
  return (
    <Box sx={[looks.trio, styles.trio, padded]}>
      <SheetNumber field="syringeML" label="Syringe" quantity="volume" />
      <SheetNumber field="spacingMm" label="A site every" quantity="length" />
      <SheetNumber field="pumpedG" label="Weight after, all pieces" quantity="mass" optional placeholder="not weighed" />
    </Box>
  );
}
