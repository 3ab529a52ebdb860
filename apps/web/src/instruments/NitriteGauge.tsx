import { RULE_SETS, type NitriteFigures, type RuleSetId } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import { GuideLink } from '../shell/GuideLink';
import { digits } from '../shell/quantities';
import { Hero } from './Hero';
import { Working } from './Working';
import { useSay } from '../shell/reader';

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
  const { applies, judgement, why, others } = nitrite;
  const half = (applies.high - applies.low) / 2;
  return (
    <section className="panel nitrite-panel" aria-label="Ingoing nitrite">
      <div className="nitrite-top">
        <Hero
          label={`Ingoing nitrite, ${say(applies.said.label).toLowerCase()}`}
          value={
            open ? `${digits(applies.low, 0)} to ${digits(applies.high, 0)}` : digits(applies.value, applies.value < 100 ? 1 : closeToBound(nitrite) ? 1 : 0)
          }
          unit="ppm"
          doubt={!open && half >= 0.5 ? `± ${digits(half, half < 10 ? 1 : 0)}` : undefined}
          size="xl"
          tone="nitrite"
        >
          <p className="note">{open ? 'Answer the questions: this is every way to read it.' : judgementText(nitrite)}</p>
        </Hero>
        <Band nitrite={nitrite} target={target} open={open} />
      </div>
      <div className="nitrite-foot">
        <ul>
          {others.map((other) => (
            <li key={other.id}>
              {say(other.said.label)}: <b>{digits(other.value, 1)} ppm</b>
            </li>
          ))}
          <li className="note">
            {say(why)} <GuideLink to="judged" of="Which figure is judged" />
          </li>
          <li className="note">
            {ruleSet === 'house' ? 'House rules' : RULE_SETS[ruleSet].name}, {weighed ? 'from your weights' : 'as planned'}. Check your own code.
          </li>
        </ul>
        <Working figures={[applies, ...others]} />
      </div>
      <span className="sr">Limit {judgement.limit} ppm.</span>
    </section>
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

function Band({ nitrite: { applies, judgement }, target, open }: { nitrite: NitriteFigures; target: number; open: boolean }) {
  const id = useId();
  const { floor, limit } = judgement;
  const x = scaleLinear([0, Math.max(limit * 1.28, applies.value * 1.12)], [INSET, WIDTH - INSET]);
  const bottom = TRACK.top + TRACK.height;
  const end = WIDTH - INSET;
  const at = x(applies.value);
  const crowded = Math.abs(x(limit) - x(floor)) < 70;
  return (
    <svg
      className="band"
      viewBox={`0 0 ${WIDTH} 98`}
      role="img"
      aria-label={`${digits(applies.value, 1)} ppm, from ${digits(applies.low, 1)} to ${digits(applies.high, 1)}; floor ${floor}, target ${digits(target, 0)}, limit ${limit} ppm`}
    >
      <defs>
        <pattern id={`${id}-under`} width={5} height={TRACK.height} patternUnits="userSpaceOnUse">
          <line x1={1} x2={1} y1={0} y2={TRACK.height} stroke="var(--hair-2)" strokeWidth={1} />
        </pattern>
        <pattern id={`${id}-over`} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V7" stroke="var(--danger)" strokeWidth={2.4} />
        </pattern>
      </defs>
      <rect x={INSET} y={TRACK.top} width={x(floor) - INSET} height={TRACK.height} fill={`url(#${id}-under)`} />
      <rect x={x(floor)} y={TRACK.top} width={Math.max(0, x(limit) - x(floor))} height={TRACK.height} fill="var(--nitrite-wash)" />
      <rect x={x(limit)} y={TRACK.top} width={end - x(limit)} height={TRACK.height} fill={`url(#${id}-over)`} />
      <rect x={INSET} y={TRACK.top} width={end - INSET} height={TRACK.height} fill="none" stroke="var(--hair)" />
      <line x1={x(floor)} x2={x(floor)} y1={TRACK.top - 4} y2={bottom + 5} stroke="var(--ink)" strokeWidth={2} />
      <line x1={x(limit)} x2={x(limit)} y1={TRACK.top - 4} y2={bottom + 5} stroke="var(--danger)" strokeWidth={3} />
      <rect
        x={x(applies.low)}
        y={TRACK.top + 7}
        width={Math.max(1, Math.min(end, x(applies.high)) - x(applies.low))}
        height={6}
        fill="var(--nitrite)"
        opacity={0.45}
      />
      {[applies.low, applies.high].map((end, i) => (
        <line key={i} x1={x(end)} x2={x(end)} y1={TRACK.top + 3} y2={bottom - 3} stroke="var(--nitrite)" strokeWidth={2} />
      ))}
      {!open && (
        <polygon
          points={`${at},${bottom} ${at},${TRACK.top} ${at - 6},${TRACK.top - 9} ${at + 6},${TRACK.top - 9} ${at},${TRACK.top}`}
          fill="var(--nitrite)"
          stroke="var(--nitrite)"
          strokeWidth={2.5}
        />
      )}
      <polygon
        points={`${x(target)},${bottom + 3} ${x(target) + 5},${bottom + 9} ${x(target)},${bottom + 15} ${x(target) - 5},${bottom + 9}`}
        fill="var(--panel)"
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      {!open && (
        <text x={Math.min(Math.max(at, 22), WIDTH - 22)} y={22} textAnchor="middle" className="needle">
          {digits(applies.value, closeToBound({ applies, judgement } as NitriteFigures) ? 1 : 0)}
        </text>
      )}
      <text x={x(floor)} y={bottom + 32} textAnchor={crowded ? 'end' : 'middle'} className="axis">
        Floor {floor}
      </text>
      <text x={Math.min(x(limit), WIDTH - 30)} y={bottom + 32} textAnchor={crowded ? 'start' : 'middle'} className="axis danger">
        Limit {limit}
      </text>
      <text x={INSET} y={bottom + 32} className="axis faint">
        0
      </text>
      {!crowded && target > floor && target < limit && (
        <text x={x(target)} y={bottom + 32} textAnchor="middle" className="axis">
          {x(limit) - x(target) > 52 && x(target) - x(floor) > 46 ? `Target` : ''}
        </text>
      )}
    </svg>
  );
}
