import { scaleLinear } from 'd3-scale';
import { digits } from '../reader/quantities';
import Box from '@mui/material/Box';
import { t } from '../theme/tokens';
import { ink } from './ink';

const styles = {
  float: { width: '100%', maxWidth: '250px', marginInline: 'auto' },
  floatNum: { fontSize: '28px', fontWeight: 600, fill: t.ink },
  salt: { fill: t.station.cure.ink },
} as const;

const WIDTH = 250;
const HEIGHT = 392;
const STEM = { x: 86, width: 64 };
const SURFACE = 152;
/** pixels of a degree on the stem */
const PER_DEGREE = 1.3;
const BULB = { width: 92, height: 82 };
const SATURATED_PERCENT = 26.395;

/**
 * A hydrometer in its jar, floating where it would: the scale slides past the surface. A second arrow, for the salt alone, wherever
 * something else lifts it.
 */
export function Float({
  reads,
  saltAlone,
  readsWord = 'float reads',
  saltWord = 'salt alone',
}: {
  reads: number;
  saltAlone: number;
  readsWord?: string;
  saltWord?: string;
}) {
  // The mark that is read lies in the surface; what is above it stands out of the brine.
  const y = scaleLinear([0, 100], [SURFACE - reads * PER_DEGREE, SURFACE + (100 - reads) * PER_DEGREE]);
  const top = y(0) - 14;
  const foot = y(100) + 12;
  const apart = Math.abs(reads - saltAlone) >= 1;
  const right = STEM.x + STEM.width;
  const saltY = apart ? Math.min(y(saltAlone), SURFACE - 58) : SURFACE;
  return (
    <Box
      component="svg"
      sx={styles.float}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Hydrometer: ${readsWord} ${digits(reads, 0)} degrees salometer${apart ? `, ${saltWord} ${digits(saltAlone, 0)} degrees` : ''}`}
    >
      <clipPath id="float-jar">
        <rect x={0} y={0} width={WIDTH} height={HEIGHT - 14} />
      </clipPath>
      <rect x={54} y={SURFACE} width={128} height={HEIGHT - 14 - SURFACE} fill="var(--bh-palette-brine)" />
      <g clipPath="url(#float-jar)">
        <path
          d={`M${STEM.x} ${foot}V${top + 8}q0 -8 8 -8h${STEM.width - 16}q8 0 8 8V${foot}q${(BULB.width - STEM.width) / 2} 10 ${(BULB.width - STEM.width) / 2} 34v${BULB.height - 50}q0 22 -${BULB.width / 2} 22t-${BULB.width / 2} -22v-${BULB.height - 50}q0 -24 ${(BULB.width - STEM.width) / 2} -34z`}
          fill="var(--bh-palette-panel)"
          stroke="var(--bh-palette-ink)"
          strokeWidth={1.5}
        />
        {Array.from({ length: 11 }, (_, i) => i * 10).map((degree) => (
          <g key={degree}>
            <path d={`M${right - 12} ${y(degree)}h12`} stroke="var(--bh-palette-ink)" strokeWidth={1.2} />
            <text x={right - 15} y={y(degree) + 4} textAnchor="end" {...ink.axisSmall}>
              {degree}
            </text>
          </g>
        ))}
        {Array.from({ length: 6 }, (_, i) => i * 5).map((percent) => (
          <path key={percent} d={`M${STEM.x} ${y((percent / SATURATED_PERCENT) * 100)}h8`} stroke="var(--bh-palette-ink3)" strokeWidth={1.2} />
        ))}
        {[5, 15, 25].map((percent) => (
          <text key={percent} x={STEM.x + 10} y={y((percent / SATURATED_PERCENT) * 100) + 4} {...ink.axisSmall} {...ink.faint}>
            {percent}
          </text>
        ))}
        <text x={STEM.x + 6} y={top + 14} {...ink.axisSmall} {...ink.faint}>
          %
        </text>
        <text x={right - 8} y={top + 14} textAnchor="end" {...ink.axisSmall} {...ink.faint}>
          °
        </text>
      </g>
      <path d={`M46 118q8 0 8 8V${HEIGHT - 14}H182V126q0 -8 8 -8`} fill="none" stroke="var(--bh-palette-glass)" strokeWidth={3} />
      <line x1={34} x2={202} y1={HEIGHT - 11} y2={HEIGHT - 11} stroke="var(--bh-palette-glass)" strokeWidth={7} />
      <path d={`M54 ${SURFACE}H${STEM.x}M${right} ${SURFACE}H182`} stroke="var(--bh-palette-station-cure-main)" strokeWidth={2} />
      <path d={`M${WIDTH} ${SURFACE}H${right + 9}l7 -5m-7 5l7 5`} fill="none" stroke="var(--bh-palette-ink)" strokeWidth={2} />
      <text x={WIDTH} y={SURFACE + 34} textAnchor="end" {...styles.floatNum}>
        {digits(reads, 0)}°
      </text>
      <text x={WIDTH} y={SURFACE + 50} textAnchor="end" {...ink.axisSmall}>
        {readsWord}
      </text>
      {apart && (
        <>
          <path
            d={`M${right + 2} ${y(saltAlone)}l7 -5m-7 5l7 5M${right + 2} ${y(saltAlone)}h20L${WIDTH - 58} ${saltY + 6}H${WIDTH}`}
            fill="none"
            stroke="var(--bh-palette-station-cure-main)"
            strokeWidth={2}
          />
          <text x={WIDTH} y={saltY} textAnchor="end" {...styles.floatNum} {...styles.salt}>
            {digits(saltAlone, 0)}°
          </text>
          <text x={WIDTH} y={saltY - 30} textAnchor="end" {...ink.axisSmall}>
            {saltWord}
          </text>
        </>
      )}
    </Box>
  );
}
