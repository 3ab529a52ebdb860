import Typography from '@mui/material/Typography';
import { deepestMm, isPumped, type Piece, type PiecePump, pumpMap, type School } from '@bunkhouse/core';
import { usePreferences } from '../reader/preferences';
import { digits, inWords, atSite } from '../reader/quantities';
import { Hero } from '../kit/Hero';
import { NeedleMap } from './NeedleMap';
import { Working } from '../kit/Working';
import Box from '@mui/material/Box';
import { looks } from '../theme/looks';
import { t } from '../theme/tokens';
import { signed } from '../theme/type';

const styles = {
  pump: {
    padding: '12px',
    display: 'grid',
    gap: '10px',
    '& dl > div': { display: 'flex', justifyContent: 'space-between', gap: '12px', padding: '4px 0', borderTop: `1px solid ${t.hair}` },
    '& dt': { color: t.ink2 },
    '& dd': { font: signed(17, 20, 600), textAlign: 'right' },
  },
  pumpPiece: { display: 'grid', gap: '8px' },
} as const;

/** A needle of the house. */
export interface OwnNeedle {
  name: string;
  lengthMm: number;
  holes: number;
}

/** What to pump, and what was pumped. */
export function PumpPanel({ pump, school, pieces, needles }: { pump: PiecePump[]; school: School; pieces: readonly Piece[]; needles: readonly OwnNeedle[] }) {
  const preferences = usePreferences();
  if (!isPumped(school)) return null;
  const planned = school.pumpPercent + school.repumpPercent;
  return (
    <Box component="section" sx={[looks.panel, styles.pump]} aria-label="Pump">
      {pump.map(({ code, plan, percent, weighed }) => (
        <Box key={code} sx={styles.pumpPiece}>
          <Hero
            label={`Pump${pump.length > 1 ? `, piece ${code}` : ''}, ${weighed ? 'by weight' : 'planned'}`}
            value={digits(percent.value, 1)}
            unit="% of green"
            doubt={weighed ? `± ${digits((percent.high - percent.low) / 2, 1)}` : undefined}
          >
            <Typography variant="note">
              {weighed
                ? `Planned ${digits(planned, 1)} %.`
                : school.repumpPercent > 0
                  ? `${school.pumpPercent} % first, ${school.repumpPercent} % half-way.`
                  : 'In one go.'}
            </Typography>
          </Hero>
          <dl>
            <div>
              <dt>First pump</dt>
              <dd>
                {inWords(plan.brineG, 'mass', preferences)}, {inWords(plan.brineML, 'volume', preferences)}
              </dd>
            </div>
            <div>
              <dt>Strokes</dt>
              <dd>
                {plan.strokes} of {inWords(school.syringeML, 'volume', preferences)}
              </dd>
            </div>
            <div>
              <dt>Needle sites</dt>
              <dd>
                {plan.sites}, {atSite(plan.mLPerSite, preferences)} each
              </dd>
            </div>
          </dl>
          <Needles piece={pieces.find((piece) => piece.code === code)} spacingMm={school.spacingMm} mLPerSite={plan.mLPerSite} needles={needles} />
          <Working figures={[percent]} />
        </Box>
      ))}
    </Box>
  );
}

function Needles({ piece, spacingMm, mLPerSite, needles }: { piece: Piece | undefined; spacingMm: number; mLPerSite: number; needles: readonly OwnNeedle[] }) {
  if (piece === undefined) return null;
  const { section, lengthMm } = piece;
  const map = pumpMap({ section, lengthMm, spacingMm });
  return (
    <>
      <NeedleMap map={map} section={section} lengthMm={lengthMm} mLPerSite={mLPerSite} />
      {needles.length > 0 && <WhichNeedle deepestMm={deepestMm(map)} needles={needles} />}
    </>
  );
}

/** Which of the house's needles comes to the deepest site. */
function WhichNeedle({ deepestMm: mm, needles }: { deepestMm: number; needles: readonly OwnNeedle[] }) {
  const preferences = usePreferences();
  const [shortest] = needles.filter(({ lengthMm }) => lengthMm >= mm).sort((a, b) => a.lengthMm - b.lengthMm);
  const deep = inWords(mm, 'length', preferences);
  return shortest === undefined ? (
    <Typography variant="note">
      The deepest site lies {deep} in, and no needle of the house is so long: what the longest does not reach stays without cure until the cover comes to it.
    </Typography>
  ) : (
    <Typography variant="note">
      The deepest site lies {deep} in: {shortest.name}, {inWords(shortest.lengthMm, 'length', preferences)}
      {shortest.holes === 1 ? '' : ` with ${shortest.holes} holes`}, reaches it.
    </Typography>
  );
}
