import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { unseen } from '../theme/surfaces';
import { RULE_SETS, type NitriteFigures, type RuleSetId } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import { GuideLink } from '../kit/GuideLink';
import { digits } from '../reader/quantities';
import { Hero } from '../kit/Hero';
import { Working } from '../kit/Working';
import { useSay } from '../reader/reader';
import { fold } from '../theme/folds';
import { looks } from '../theme/looks';
import { t } from '../theme/tokens';
import { ink } from './ink';

const styles = {
  nitriteTop: {
    display: 'grid',
    gridTemplateColumns: 'minmax(200px, 260px) 1fr',
    gap: '16px',
    padding: '12px 14px 4px',
    alignItems: 'center',
    [fold.phone]: { gridTemplateColumns: '1fr' },
  },
  nitriteFoot: {
    display: 'flex',
    flexWrap: 'wrap',
    justifyContent: 'space-between',
    gap: '4px 16px',
    padding: '8px 14px 12px',
    borderTop: `1px solid ${t.hair}`,
    marginTop: '6px',
    '& ul': { flex: '1 1 280px' },
  },
  band: { width: '100%', maxWidth: '440px', height: 'auto', justifySelf: 'end', [fold.phone]: { justifySelf: 'stretch' } },
  needle: { fontSize: '20px', fontWeight: 600, fill: t.nitrite.ink },
  axis: { fontSize: '14.5px', fontWeight: 500, fill: t.ink },
  danger: { fill: t.danger.ink, fontWeight: 600 },
} as const;

const WIDTH = 380;
const INSET = 8;
const TRACK = { top: 40, height: 20 };

/** Ingoing nitrite against floor, target and limit, printed in words too. */
export function NitriteGauge({
  nitrite,
  target,
  ruleSet,
  weighed,
  open = false,
}: {
  nitrite: NitriteFigures;
  target: number;
  ruleSet: RuleSetId;
  weighed: boolean;
  /** while a question about the recipe is open, only the range is said */
  open?: boolean;
}) {
  const say = useSay();
  const { applies, judgement, why, others, of } = nitrite;
  const half = (applies.high - applies.low) / 2;
  return (
    <Box component="section" sx={looks.panel} aria-label="Ingoing nitrite">
      <Box sx={styles.nitriteTop}>
        <Hero
          label={`Ingoing nitrite, ${say(applies.said.label).toLowerCase()}${of === undefined ? '' : `, ${say(of)}`}`}
          value={
            open ? `${digits(applies.low, 0)} to ${digits(applies.high, 0)}` : digits(applies.value, applies.value < 100 ? 1 : closeToBound(nitrite) ? 1 : 0)
          }
          unit="ppm"
          doubt={!open && half >= 0.5 ? `± ${digits(half, half < 10 ? 1 : 0)}` : undefined}
          size="xl"
          tone="nitrite"
        >
          <Typography variant="note">{open ? 'Answer the questions: this is every way to read it.' : judgementText(nitrite)}</Typography>
        </Hero>
        <Band nitrite={nitrite} target={target} open={open} />
      </Box>
      <Box sx={styles.nitriteFoot}>
        <ul>
          {others.map((other) => (
            <li key={other.id}>
              {say(other.said.label)}: <b>{digits(other.value, 1)} ppm</b>
            </li>
          ))}
          <Typography variant="note" component="li">
            {say(why)} <GuideLink to="judged" of="Which figure is judged" />
          </Typography>
          <Typography variant="note" component="li">
            {ruleSet === 'house' ? 'House rules' : RULE_SETS[ruleSet].name}, {weighed ? 'from your weights' : 'as planned'}. Check your own code.
          </Typography>
        </ul>
        <Working figures={[applies, ...others]} />
      </Box>
      <Box component="span" sx={unseen}>
        Limit {judgement.limit} ppm.
      </Box>
    </Box>
  );
}

/** Rounding must not hide a bound: one place more near it. */
const closeToBound = ({ applies, judgement }: NitriteFigures): boolean =>
  [judgement.floor, judgement.limit].some((bound) => Math.abs(applies.value - bound) < 1 && applies.value !== bound);

function judgementText({ applies, judgement }: NitriteFigures): string {
  const { floor, limit, verdict } = judgement;
  if (verdict === 'over') return `Over the limit of ${limit} ppm by ${digits(applies.value - limit, 1)}.`;
  if (verdict === 'under') return `Under the floor of ${floor} ppm by ${digits(floor - applies.value, 1)}.`;
  return `Between floor ${floor} and limit ${limit} ppm.`;
}

/** As wide as `Limit 200`, px. */
const WORD = 58;

/** Where the words of floor and limit stand: under their posts, beside each other where those are near, and never cut off. */
function boundWords(floor: number, limit: number): { floor: number; limit: number } {
  const middle = (floor + limit) / 2;
  const apart = Math.max(limit - floor, WORD + 6) / 2;
  const left = Math.min(Math.max(middle - apart, INSET + WORD / 2), WIDTH - INSET - 1.5 * WORD - 6);
  return { floor: left, limit: Math.min(Math.max(middle + apart, left + WORD + 6), WIDTH - INSET - WORD / 2) };
}

function Band({ nitrite: { applies, judgement }, target, open }: { nitrite: NitriteFigures; target: number; open: boolean }) {
  const id = useId();
  const { floor, limit } = judgement;
  const x = scaleLinear([0, Math.max(limit * 1.28, applies.value * 1.12)], [INSET, WIDTH - INSET]);
  const bottom = TRACK.top + TRACK.height;
  const end = WIDTH - INSET;
  const at = x(applies.value);
  const bounds = boundWords(x(floor), x(limit));
  return (
    <Box
      component="svg"
      sx={styles.band}
      viewBox={`0 0 ${WIDTH} 98`}
      role="img"
      aria-label={`${digits(applies.value, 1)} ppm, from ${digits(applies.low, 1)} to ${digits(applies.high, 1)}; floor ${floor}, target ${digits(target, 0)}, limit ${limit} ppm`}
    >
      <defs>
        <pattern id={`${id}-under`} width={5} height={TRACK.height} patternUnits="userSpaceOnUse">
          <line x1={1} x2={1} y1={0} y2={TRACK.height} stroke="var(--bh-palette-hair2)" strokeWidth={1} />
        </pattern>
        <pattern id={`${id}-over`} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V7" stroke="var(--bh-palette-danger-main)" strokeWidth={2.4} />
        </pattern>
      </defs>
      <rect x={INSET} y={TRACK.top} width={x(floor) - INSET} height={TRACK.height} fill={`url(#${id}-under)`} />
      <rect x={x(floor)} y={TRACK.top} width={Math.max(0, x(limit) - x(floor))} height={TRACK.height} fill="var(--bh-palette-nitrite-wash)" />
      <rect x={x(limit)} y={TRACK.top} width={end - x(limit)} height={TRACK.height} fill={`url(#${id}-over)`} />
      <rect x={INSET} y={TRACK.top} width={end - INSET} height={TRACK.height} fill="none" stroke="var(--bh-palette-hair)" />
      <line x1={x(floor)} x2={x(floor)} y1={TRACK.top - 4} y2={bottom + 5} stroke="var(--bh-palette-ink)" strokeWidth={2} />
      <line x1={x(limit)} x2={x(limit)} y1={TRACK.top - 4} y2={bottom + 5} stroke="var(--bh-palette-danger-main)" strokeWidth={3} />
      <rect
        x={x(applies.low)}
        y={TRACK.top + 7}
        width={Math.max(1, Math.min(end, x(applies.high)) - x(applies.low))}
        height={6}
        fill="var(--bh-palette-nitrite-main)"
        opacity={0.45}
      />
      {[applies.low, applies.high].map((end, i) => (
        <line key={i} x1={x(end)} x2={x(end)} y1={TRACK.top + 3} y2={bottom - 3} stroke="var(--bh-palette-nitrite-main)" strokeWidth={2} />
      ))}
      {!open && (
        <polygon
          points={`${at},${bottom} ${at},${TRACK.top} ${at - 6},${TRACK.top - 9} ${at + 6},${TRACK.top - 9} ${at},${TRACK.top}`}
          fill="var(--bh-palette-nitrite-main)"
          stroke="var(--bh-palette-nitrite-main)"
          strokeWidth={2.5}
        />
      )}
      <polygon
        points={`${x(target)},${bottom + 3} ${x(target) + 5},${bottom + 9} ${x(target)},${bottom + 15} ${x(target) - 5},${bottom + 9}`}
        fill="var(--bh-palette-panel)"
        stroke="var(--bh-palette-ink)"
        strokeWidth={1.6}
      />
      {!open && (
        <text x={Math.min(Math.max(at, 22), WIDTH - 22)} y={22} textAnchor="middle" {...styles.needle}>
          {digits(applies.value, closeToBound({ applies, judgement } as NitriteFigures) ? 1 : 0)}
        </text>
      )}
      <text x={bounds.floor} y={bottom + 32} textAnchor="middle" {...styles.axis}>
        Floor {floor}
      </text>
      <text x={bounds.limit} y={bottom + 32} textAnchor="middle" {...styles.axis} {...styles.danger}>
        Limit {limit}
      </text>
      {bounds.floor - WORD / 2 > INSET + 14 && (
        <text x={INSET} y={bottom + 32} {...styles.axis} {...ink.faint}>
          0
        </text>
      )}
      {target > floor && target < limit && (
        <text x={x(target)} y={bottom + 32} textAnchor="middle" {...styles.axis}>
          {x(limit) - x(target) > 52 && x(target) - x(floor) > 46 ? `Target` : ''}
        </text>
      )}
    </Box>
  );
}
