import Typography from '@mui/material/Typography';
import { safeByTime, type PieceWatch, type PitWatch } from '@bunkhouse/core';
import { Panel } from '../../kit/Panel';
import { GuideLink } from '../../kit/GuideLink';
import { safetyWords } from '../../reader/words/safetyWords';
import { usePreferences } from '../../reader/preferences';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed, worded } from '../../theme/type';

const styles = {
  safe: {
    '& ul': { display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(250px, 1fr))' },
    '& li': { padding: '10px 12px', borderTop: `1px solid ${t.hair}`, boxShadow: `inset 5px 0 0 ${t.hair}` },
    '& li b': { font: signed(17, 20, 600) },
    '& li p': { font: worded(16, 21, 500), margin: '2px 0' },
    '& li small': { display: 'block' },
  },
  safePiece: { gridColumn: '1 / -1', '&&': { padding: '6px 12px', boxShadow: 'none', background: t.sunk } },
  oneMet: { '&&': { boxShadow: `inset 5px 0 0 ${t.ink}` } },
  oneFailed: { '&&': { boxShadow: `inset 5px 0 0 ${t.danger.main}`, background: t.danger.wash } },
} as const;

/** Safe by time, in words: each rule with how far it has come and where it is from. */
export function SafePanel({ watch, at }: { watch: PitWatch; at: number }) {
  const nowS = (at - (watch.log.onAt ?? at)) / 1000;
  return (
    <Panel
      title="Safe by time"
      aside={
        <>
          check your own code <GuideLink to="lethality" of="Safe by time" />
        </>
      }
      sx={styles.safe}
      label="Safe by time"
    >
      {watch.pieces.map((piece) => (
        <Clocks key={piece.piece} watch={watch} piece={piece} nowS={nowS} />
      ))}
      <Typography variant="note" sx={looks.inset}>
        A probe that lies makes all of this lie: the check in three places decides. What nobody read is not counted. Your local code and your inspector have the
        last word.
      </Typography>
    </Panel>
  );
}

function Clocks({ watch, piece, nowS }: { watch: PitWatch; piece: PieceWatch; nowS: number }) {
  const preferences = usePreferences();
  const clocks = safeByTime(watch, piece, nowS);
  return (
    <ul>
      {watch.pieces.length > 1 && (
        <Box component="li" sx={styles.safePiece}>
          <b>Piece {piece.piece}</b>
        </Box>
      )}
      {clocks.map((clock) => {
        const { title, fact, source } = safetyWords(clock, watch.log.onAt ?? 0, piece, preferences);
        return (
          <Box component="li" key={clock.rule} sx={[clock.state === 'met' && styles.oneMet, clock.state === 'failed' && styles.oneFailed]}>
            <b>{title}</b>
            <p>{fact}</p>
            <small>{source}</small>
          </Box>
        );
      })}
    </ul>
  );
}
