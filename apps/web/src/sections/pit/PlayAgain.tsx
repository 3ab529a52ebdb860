import type { PitWatch } from '@bunkhouse/core';
import { clockTime, dayOf } from '../../shell/times';

const STEP_MS = 60_000;

/** The whole cook, played again: everything on the page is then as it was at that minute. */
export function PlayAgain({
  watch,
  endAt,
  playedAt,
  onPlay,
}: {
  watch: PitWatch;
  endAt: number;
  playedAt: number | null;
  onPlay: (at: number | null) => void;
}) {
  const from = watch.log.onAt ?? endAt;
  const to = Math.max(endAt, from + STEP_MS);
  const at = playedAt ?? to;
  return (
    <div className="play-again">
      <label htmlFor="play">Play it again</label>
      <input
        id="play"
        type="range"
        min={0}
        max={Math.ceil((to - from) / STEP_MS)}
        step={1}
        value={Math.round((at - from) / STEP_MS)}
        aria-valuetext={`${dayOf(at)} ${clockTime(at)}`}
        onChange={(event) => onPlay(Math.min(to, from + Number(event.target.value) * STEP_MS))}
      />
      <output className="num" htmlFor="play">
        {clockTime(at)}
      </output>
      <button type="button" className="btn quiet" disabled={playedAt === null} onClick={() => onPlay(null)}>
        To the end
      </button>
    </div>
  );
}
