import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { padded } from '../../theme/surfaces';
import { Panel } from '../../kit/Panel';
import { baseFigures, type BenchSheet, type WorkedRecipe, SIXTY_F_C } from '@bunkhouse/core';
import { Float } from '../../charts/Float';
import { Hero } from '../../kit/Hero';
import { Working } from '../../kit/Working';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords } from '../../reader/quantities';
import { facts } from './facts';
import { fold } from '../../theme/folds';

const styles = {
  strengthIn: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 230px)',
    gap: '8px 16px',
    padding: '12px',
    alignItems: 'start',
    '& > .MuiButton-text': { justifySelf: 'start' },
    [fold.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
} as const;

/** How strong the brine is, on every scale, and what a float shows. */
export function StrengthPanel({ sheet, recipe: { audit } }: { sheet: BenchSheet; recipe: WorkedRecipe }) {
  const preferences = usePreferences();
  const { strength, salt } = audit;
  if (strength === null) {
    return (
      <Panel title="Salt" label="Salt">
        <Box sx={padded}>
          <Hero label="Of the meat" value={digits(salt.value, 2)} unit="%" doubt={doubt(salt)} />
          <Working figures={[salt]} />
        </Box>
      </Panel>
    );
  }
  const floats = strength.float.salometer;
  return (
    <Panel
      title={audit.coverStrength === null ? 'Brine strength' : 'Pickle strength'}
      aside={<>at {inWords(SIXTY_F_C, 'temperature', preferences)}</>}
      label="Brine strength"
    >
      <Box sx={styles.strengthIn}>
        <div>
          <Hero label="Salt, of the brine" value={digits(strength.saltPercent.value, 1)} unit="% w/w" doubt={doubt(strength.saltPercent)} />
          <Typography variant="note">{floatNote(strength.sugarPercent, (floats ?? 100) - (strength.salometer ?? 100))}</Typography>
        </div>
        {strength.salometer !== null && <Float reads={floats ?? 100} saltAlone={strength.salometer} />}
        <Box component="dl" sx={facts}>
          <div>
            <dt>of the water</dt>
            <dd>{digits(strength.bases.ofWater, 1)} %</dd>
          </div>
          <div>
            <dt>of meat and water</dt>
            <dd>{digits(strength.bases.ofMeatAndWater, 2)} %</dd>
          </div>
          <div>
            <dt>salometer</dt>
            <dd>{strength.salometer === null ? 'beyond saturation' : `${digits(strength.salometer, 1)} °`}</dd>
          </div>
          <div>
            <dt>specific gravity</dt>
            <dd>{digits(strength.specificGravity, 3)}</dd>
          </div>
          <div>
            <dt>Baumé</dt>
            <dd>{digits(strength.baume, 1)} °</dd>
          </div>
          {audit.coverStrength !== null && (
            <div>
              <dt>cover brine</dt>
              <dd>{digits(audit.coverStrength.saltPercent.value, 1)} % w/w</dd>
            </div>
          )}
          <div>
            <dt>when even</dt>
            <dd>
              {digits(salt.value, 2)} % {doubt(salt)}
            </dd>
          </div>
        </Box>
        <Working figures={[strength.saltPercent, ...baseFigures(audit, strength, sheet.greenG), salt]} />
      </Box>
    </Panel>
  );
}

const doubt = ({ low, high }: { low: number; high: number }): string | undefined =>
  high - low < 0.01 ? undefined : `± ${digits((high - low) / 2, (high - low) / 2 < 0.1 ? 2 : 1)}`;

const floatNote = (sugarPercent: number, lift: number): string =>
  lift >= 1 ? `${digits(sugarPercent, 1)} % sugar lifts the float ${digits(lift, 0)}°.` : 'Nothing but salt lifts the float.';
