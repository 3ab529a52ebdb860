import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { tubFigures, type BenchSheet, type Finding, type RecipeAudit, type Worked, type WorkedRecipe } from '@bunkhouse/core';
import { memo } from 'react';
import { FindingStrip } from '../../kit/FindingStrip';
import { NitriteGauge } from '../../charts/NitriteGauge';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords } from '../../reader/quantities';
import { Rules, Schools } from './Argument';
import { HydrometerPanel } from './HydrometerPanel';
import { TubPanel } from './TubPanel';
import { correctedText } from './sheetText';
import { faultOf, type ChangeSheet } from './useSheet';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { Brines } from './Brines';
import { MakingPanel } from './MakingPanel';
import { PumpPanel } from './PumpPanel';
import { StrengthPanel } from './StrengthPanel';

const styles = {
  benchEmpty: { padding: '20px 16px', display: 'grid', gap: '6px' },
  benchGrid: {
    display: 'grid',
    gridTemplateColumns: 'repeat(2, minmax(0, 1fr))',
    gap: '10px',
    alignItems: 'start',
    [fold.small]: { gridTemplateColumns: 'minmax(0, 1fr)' },
    [fold.paper]: { gridTemplateColumns: '1fr 1fr' },
  },
  benchColumn: { display: 'grid', gap: '10px', alignContent: 'start', minWidth: 0 },
} as const;

/** Everything that a sheet comes to, the nitrite first. */
export const Answer = memo(function Answer({ sheet, worked, change }: { sheet: BenchSheet; worked: Worked; change: ChangeSheet }) {
  if ('fault' in worked.recipe) {
    const empty = sheet.door === 'have' && sheet.text.trim() === '';
    return (
      <>
        {empty ? (
          <Box component="section" sx={[looks.panel, styles.benchEmpty]}>
            <Box component="h2" sx={looks.head}>
              Paste the recipe on the left
            </Box>
            <Typography variant="note">
              Cups, spoons, pounds and gallons are read as they are. What is not certain is asked, and the doubt is carried to the ppm.
            </Typography>
          </Box>
        ) : (
          <FindingStrip finding={{ level: 'stop', ...faultOf(worked.recipe.fault) }} />
        )}
        <HydrometerPanel float={worked.float} />
      </>
    );
  }
  const recipe = worked.recipe.value;
  return (
    <>
      {recipe.audit.findings.map((finding) => (
        <FindingStrip key={finding.code} finding={finding} />
      ))}
      <Correct sheet={sheet} worked={worked} recipe={recipe} change={change} />
      {recipe.audit.nitrite.applies.high > 0 && (
        <NitriteGauge nitrite={recipe.audit.nitrite} target={sheet.aimPpm} ruleSet={sheet.ruleSet} weighed={sheet.door === 'have'} open={worked.asking > 0} />
      )}
      <Box sx={styles.benchGrid}>
        <Box sx={styles.benchColumn}>
          <Brines sheet={sheet} recipe={recipe} right={rightOf(worked, recipe)} />
          {worked.making !== null && <MakingPanel sheet={sheet} making={worked.making} />}
          <Schools audit={recipe.audit} />
        </Box>
        <Box sx={styles.benchColumn}>
          <StrengthPanel sheet={sheet} recipe={recipe} />
          {worked.tub !== null && (
            <TubPanel sheet={sheet} tub={worked.tub} change={change} figures={'value' in worked.tub ? tubFigures(sheet, worked.tub.value) : []} />
          )}
          <Rules ruleSet={sheet.ruleSet} audit={recipe.audit} />
        </Box>
        {worked.pump !== null && <PumpPanel sheet={sheet} pump={worked.pump} />}
        <HydrometerPanel float={worked.float} />
      </Box>
    </>
  );
});

/** What would put the dose right, where it is off and every question is answered. */
function rightOf(worked: Worked, { audit }: WorkedRecipe): RecipeAudit['right'] {
  const off =
    audit.nitrite.judgement.verdict !== 'ok' || audit.findings.some((finding: Finding) => finding.code.startsWith('doubt') || finding.code === 'straddle');
  return off && worked.asking === 0 ? audit.right : null;
}

/** One tap to the dose that is right. */
function Correct({ sheet, worked, recipe, change }: { sheet: BenchSheet; worked: Worked; recipe: WorkedRecipe; change: ChangeSheet }) {
  const preferences = usePreferences();
  const right = rightOf(worked, recipe);
  if (right === null) return null;
  if (sheet.door === 'want') return <AimRight sheet={sheet} right={right} change={change} />;
  const { read } = worked;
  if (read === null) return null;
  return (
    <Button onClick={() => change({ text: correctedText(sheet, read.lines, recipe) })}>
      Put it right: {inWords(right.cureG, 'smallMass', preferences)} of cure, {digits(right.ppm, 0)} ppm
    </Button>
  );
}

/** What is changed in a wish: the aim, or the salt where the salt brings the nitrite. A label's dose is the label's. */
function AimRight({ sheet, right, change }: { sheet: BenchSheet; right: NonNullable<RecipeAudit['right']>; change: ChangeSheet }) {
  if (sheet.school === 'lowStrength') {
    const saltPercent = Math.floor(sheet.saltPercent * right.factor * 100) / 100;
    return (
      <Button onClick={() => change({ saltPercent })}>
        Take {digits(saltPercent, 2)} % salt: {digits(right.ppm, 0)} ppm
      </Button>
    );
  }
  if (sheet.school === 'readyMix' || sheet.school === 'saltOnly' || sheet.aimPpm === right.ppm) return null;
  return <Button onClick={() => change({ aimPpm: right.ppm })}>Aim at {digits(right.ppm, 0)} ppm instead</Button>;
}
