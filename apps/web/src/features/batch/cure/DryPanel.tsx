import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded } from '../../../theme/surfaces';
import { attempt, PROCESSES, saltAfterLoss, sum } from '@bunkhouse/core';
import { Panel } from '../../../kit/Panel';
import type { Batch } from '../../../data/batches';
import { Hero } from '../../../kit/Hero';
import { digits } from '../../../reader/quantities';
import { usePreferences } from '../../../reader/preferences';
import { tagWeight } from '../../../reader/quantities';
import { dayAndTime, span } from '../../../reader/times';
import type { SectionAnswer } from '../../../workers/sectionMessages';
import { looks } from '../../../theme/looks';

const styles = {
  trio: { marginBottom: '8px' },
  looks: { display: 'grid', gap: '4px' },
} as const;

/** Drying: how long, how often looked at, what it lost, and what the salt will be on the plate. */
export function DryPanel({ batch, answer, now }: { batch: Batch; answer: SectionAnswer; now: number }) {
  const { record, state } = batch;
  const preferences = usePreferences();
  const { facts, design } = state;
  const rack = state.closing('rack');
  const pellicle = state.step('pellicle');
  const greenG = sum(facts.greenG);
  const pulledG = sum(facts.pulledG);
  const driedG = Object.keys(facts.driedG).length === design.pieces.length ? sum(facts.driedG) : latestWeight(batch);
  const mean = answer.salt.mean.at(-1) ?? 0;
  const share = record.process.usual.packedShare ?? PROCESSES.find((process) => process.product === design.product)?.usual.packedShare;
  const after = (g: number) => attempt(() => saltAfterLoss({ saltPercent: mean, beforeG: pulledG, afterG: g }));
  const dried = driedG === null ? null : after(driedG);
  const [most, least] = share === undefined ? [null, null] : [after(share.low * greenG), after(share.high * greenG)];
  return (
    <Panel title="Drying" aside="salt modelled, weights as weighed" label="Drying">
      <Box sx={padded}>
        <Box sx={[looks.trio, styles.trio]}>
          <Hero
            size="md"
            label={driedG === null ? 'Salt now' : 'Salt now, after loss'}
            value={digits(dried !== null && 'value' in dried ? dried.value : mean, 2)}
            unit="%"
          />
          {most !== null && least !== null && 'value' in most && 'value' in least && (
            <Hero size="md" label="Salt on the plate" value={`${digits(least.value, 1)} to ${digits(most.value, 1)}`} unit="%" />
          )}
          <Hero
            size="md"
            label="Lost in drying"
            value={driedG === null || pulledG === 0 ? '\u2013' : digits((1 - driedG / pulledG) * 100, 1)}
            unit={driedG === null ? 'not weighed' : '%'}
          />
        </Box>
        {share !== undefined && (
          <Typography variant="note">
            The salt stays while the water goes: {tagWeight(pulledG, preferences)} at the pull, packed usually {digits(share.low * 100, 0)} to{' '}
            {digits(share.high * 100, 0)} % of its green weight. Over 3 % tastes salty to most.
          </Typography>
        )}
        {rack?.kind === 'done' && (
          <Box component="ol" sx={styles.looks}>
            <li>
              <b>{dayAndTime(rack.at, now)}</b> on the rack{pellicle?.closing === null ? `, ${span(now - Date.parse(rack.at))} ago` : ''}
            </li>
            {pellicle?.looks.map((look) => (
              <li key={look.id}>
                <b>{dayAndTime(look.at, now)}</b> looked at after {span(Date.parse(look.at) - Date.parse(rack.at))}: not yet
              </li>
            ))}
          </Box>
        )}
      </Box>
    </Panel>
  );
}

/** The latest weight of all pieces among the looks at the surface, g. */
function latestWeight({ state }: Batch): number | null {
  const pellicle = state.step('pellicle');
  for (const look of [...(pellicle?.looks ?? [])].reverse()) {
    if (look.kind !== 'done') continue;
    const weights = state.design.pieces.map(({ code }) => look.values[`driedG:${code}`]);
    if (weights.every((weight) => typeof weight === 'number')) return weights.reduce((a, b) => a + b, 0);
  }
  return null;
}
