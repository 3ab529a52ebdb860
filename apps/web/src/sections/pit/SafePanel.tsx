import { safeByTime, type PieceWatch, type PitWatch } from '@bunkhouse/core';
import { GuideLink } from '../../shell/GuideLink';
import { safetyWords } from '../../shell/pit/safetyWords';
import { usePreferences } from '../../shell/preferences';

/** Safe by time, in words: each rule with how far it has come and where it is from. */
export function SafePanel({ watch, at }: { watch: PitWatch; at: number }) {
  const nowS = (at - (watch.log.onAt ?? at)) / 1000;
  return (
    <section className="panel safe" aria-label="Safe by time">
      <div className="ph">
        <h2>Safe by time</h2>
        <span className="aside">
          check your own code <GuideLink to="lethality" of="Safe by time" />
        </span>
      </div>
      {watch.pieces.map((piece) => (
        <Clocks key={piece.piece} watch={watch} piece={piece} nowS={nowS} />
      ))}
      <p className="note inset">
        A probe that lies makes all of this lie: the check in three places decides. What nobody read is not counted. Your local code and your inspector have the
        last word.
      </p>
    </section>
  );
}

function Clocks({ watch, piece, nowS }: { watch: PitWatch; piece: PieceWatch; nowS: number }) {
  const preferences = usePreferences();
  const clocks = safeByTime(watch, piece, nowS);
  return (
    <ul>
      {watch.pieces.length > 1 && (
        <li className="safe-piece">
          <b>Piece {piece.piece}</b>
        </li>
      )}
      {clocks.map((clock) => {
        const { title, fact, source } = safetyWords(clock, watch.log.onAt ?? 0, piece, preferences);
        return (
          <li key={clock.rule} className={clock.state}>
            <b>{title}</b>
            <p>{fact}</p>
            <small>{source}</small>
          </li>
        );
      })}
    </ul>
  );
}
