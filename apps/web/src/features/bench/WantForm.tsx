import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded, paired } from '../../theme/surfaces';
import { BENCH_SCHOOLS, benchWaterG, CURE_1, CURING_SALT_06, READY_MIX, type BenchSchool, type BenchSheet, type SaltBases } from '@bunkhouse/core';
import { Panel } from '../../kit/Panel';
import { Choice } from '../../kit/Choice';
import { CureFields } from './CureFields';
import { MeatFields } from './MeatFields';
import { BenchScales } from './BenchScales';
import { SheetNumber, SheetSelect } from './SheetNumber';
import { useSheetContext } from './useSheet';
import { SCHOOL_WORDS } from '../../reader/words/tradeWords';

const EVEN: readonly BenchSchool[] = ['equilibrium', 'bag', 'lowStrength', 'saltOnly'];
const BASES: readonly (readonly [keyof SaltBases, string])[] = [
  ['ofMeatAndWater', 'of meat and water'],
  ['ofBrine', 'of the brine'],
  ['ofWater', 'of the water'],
];

/** What is wanted: the school decides what is asked. */
export function WantForm() {
  const { sheet, change } = useSheetContext();
  const { school } = sheet;
  const even = EVEN.includes(school);
  const pumps = school === 'pumpAndCover' || school === 'pumpSame';
  const dosed = school !== 'saltOnly' && school !== 'readyMix' && school !== 'lowStrength';
  return (
    <Panel title="What I want">
      <Box sx={padded}>
        <MeatFields />
        <SheetSelect
          label="How it is cured"
          value={school}
          options={BENCH_SCHOOLS.map((id) => [id, SCHOOL_WORDS[id][0]] as const)}
          onChange={(chosen) => change(schoolChange(sheet, chosen))}
        />
        <Typography variant="note">{SCHOOL_WORDS[school][1]}</Typography>
        {school !== 'dryRub' && (
          <Box sx={paired}>
            <SheetNumber field="waterG" label={school === 'pumpAndCover' ? 'Water for the cover' : 'Water, ice counts'} quantity="mass" />
            <SheetNumber field="days" label="Days in the brine" sign="d" decimals={1} />
          </Box>
        )}
        {(even || school === 'pumpAndCover' || school === 'dryRub') && (
          <Box sx={paired}>
            <SheetNumber field="saltPercent" label={school === 'dryRub' ? 'Salt, of the meat' : 'Salt'} sign="%" />
            {school === 'dryRub' ? null : <SheetSelect label="of what" value={sheet.saltBase} options={BASES} onChange={(saltBase) => change({ saltBase })} />}
          </Box>
        )}
        {(school === 'clock' || school === 'floatTest') && (
          <Box sx={paired}>
            {school === 'clock' && <SheetNumber field="salometer" label="Strength, salometer" sign="°" />}
            <SheetNumber field="pulledG" label="Weight when pulled" quantity="mass" optional placeholder="not weighed" />
          </Box>
        )}
        {pumps && (
          <Box sx={paired}>
            <SheetNumber field="pumpPercent" label="Pump, of green weight" sign="%" />
            <SheetNumber field="pickleSaltPercent" label={school === 'pumpSame' ? 'Salt, of the brine' : 'Pickle, salt'} sign="%" />
          </Box>
        )}
        {school === 'readyMix' && (
          <Box sx={paired}>
            <SheetNumber field="labelGPerKg" label="The label says" sign="g per kg" />
            <Choice label="of" value={sheet.labelPer} options={{ meat: 'Meat', water: 'Water' }} onChange={(labelPer) => change({ labelPer })} />
          </Box>
        )}
        <Box sx={paired}>
          {school !== 'readyMix' && <SheetNumber field="sugarPercent" label={sugarLabel(school)} sign="%" />}
          {dosed && <SheetNumber field="aimPpm" label="Nitrite aimed at" sign="ppm" />}
        </Box>
        {school !== 'saltOnly' && <CureFields />}
        {(school === 'equilibrium' || school === 'bag' || school === 'dryRub') && (
          <Choice
            label="Salt in the cure"
            value={sheet.countCureSalt ? 'counted' : 'extra'}
            options={{ counted: 'Counted in the salt', extra: 'On top of it' }}
            onChange={(counted) => change({ countCureSalt: counted === 'counted' })}
          />
        )}
        <Box sx={paired}>
          <SheetNumber field="meatStepG" label="Big scale steps by" quantity="smallMass" />
          <SheetNumber field="cureStepG" label="Cure scale steps by" quantity="smallMass" />
        </Box>
        <BenchScales />
      </Box>
    </Panel>
  );
}

const sugarLabel = (school: BenchSchool): string =>
  school === 'dryRub'
    ? 'Sugar, of the meat'
    : school === 'clock' || school === 'floatTest' || school === 'pumpSame'
      ? 'Sugar, of the brine'
      : 'Sugar, of meat and water';

/** A school brings the cure that it is made with, and its usual water. */
function schoolChange(sheet: BenchSheet, school: BenchSchool): Partial<BenchSheet> {
  const water = sheet.waterG === benchWaterG(sheet.school, sheet.greenG) ? { waterG: benchWaterG(school, sheet.greenG) } : {};
  const dilute = sheet.cure.nitritePercent <= 1;
  const cure =
    school === 'lowStrength' && !dilute
      ? CURING_SALT_06
      : school === 'readyMix' && sheet.cure.nitratePercent === 0
        ? READY_MIX
        : school !== 'lowStrength' && school !== 'readyMix' && dilute
          ? CURE_1
          : sheet.cure;
  return { school, cure, ...water };
}
