import Typography from '@mui/material/Typography';
import { packLabel, DAY_MS } from '@bunkhouse/core';
import { create } from 'qrcode';
import { useMemo, useState } from 'react';
import type { Batch } from '../../data/batches';
import { NumberField } from '../../kit/NumberField';
import { Choice } from '../../kit/Choice';
import { useSay } from '../../reader/reader';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords } from '../../reader/quantities';
import { OneBatch } from './OneBatch';
import { Sheet } from './Sheet';
import { useBatchChannels } from '../../acts/pit/useBatchChannels';
import { writtenTime } from '../../reader/times';

const MOST_LABELS = 120;

/** Labels for the pieces on their way, and for the packs. */
export const Labels = () => <OneBatch>{(batch) => <LabelSheet batch={batch} />}</OneBatch>;

function LabelSheet({ batch }: { batch: Batch }) {
  const { record, state } = batch;
  const preferences = usePreferences();
  const say = useSay();
  const channels = useBatchChannels(batch);
  const label = packLabel(record, state, channels);
  const [of, setOf] = useState<'packs' | 'pieces'>(state.facts.packedG === null ? 'pieces' : 'packs');
  const [packs, setPacks] = useState<number | undefined>(6);
  const [keeps, setKeeps] = useState<number | undefined>(label.keepsDays);
  const [own, setOwn] = useState<number>();
  const address = `${window.location.origin}/batches/${record.id}`;
  const packed = state.endedAt ?? Date.now();
  const each = own ?? (state.facts.packedG === null || packs === undefined || !(packs >= 1) ? null : state.facts.packedG / packs);
  const count = Math.max(0, Math.min(MOST_LABELS, Math.floor(packs ?? 0)));
  return (
    <Sheet
      title={`Labels ${record.code}`}
      aside={of === 'packs' ? `${count} packs` : `${state.pieces.length} pieces`}
      back={{ to: `/batches/${record.id}`, word: `To ${record.code}` }}
      margin="8mm"
      more={
        <>
          <Choice label="Labels for" value={of} options={{ pieces: 'Pieces', packs: 'Packs' }} onChange={setOf} />
          {of === 'packs' && (
            <>
              <NumberField
                label="Packs"
                sign=""
                decimals={0}
                value={packs}
                onChange={setPacks}
                error={packs !== undefined && packs > MOST_LABELS ? `At most ${MOST_LABELS} at once.` : undefined}
              />
              <NumberField
                label="Each weighs"
                quantity="mass"
                value={each ?? undefined}
                onChange={setOwn}
                hint={own === undefined && each !== null ? 'all packs, shared out' : undefined}
              />
              <NumberField label="Keeps, sealed and cold" sign="d" decimals={0} value={keeps} onChange={setKeeps} hint="a cautious default: yours to change" />
            </>
          )}
        </>
      }
    >
      <div className="labels">
        {of === 'pieces'
          ? state.pieces.map((piece) => (
              <section key={piece.code} className="stick piece-stick">
                <b>
                  {record.code} {piece.code}
                </b>
                <span>{record.process.name}</span>
                <span>{inWords(piece.greenG, 'mass', preferences)} green</span>
                <span>Started {writtenTime(record.design.startsAt, 'D MMM YYYY')}</span>
                <Square address={address} />
              </section>
            ))
          : Array.from({ length: count }, (_, i) => (
              <section key={i} className="stick">
                <b>{label.name}</b>
                <p>Ingredients: {label.ingredients.map(say).join(', ')}.</p>
                <p className="stick-weight">{each === null ? 'Net weight ________' : `Net weight ${inWords(each, 'mass', preferences)}`}</p>
                <p>
                  Batch {label.code}, pack {i + 1} of {digits(count, 0)}
                </p>
                <p>
                  Packed on {writtenTime(packed, 'D MMM YYYY')}. Use by {writtenTime(packed + (keeps ?? 0) * DAY_MS, 'D MMM YYYY')}.
                </p>
                <p>{label.keeping.map(say).join(' ')}</p>
                <Square address={address} />
              </section>
            ))}
      </div>
      <Typography variant="note" className="no-print">
        Selling needs a licence, and your local code may ask for more on a label than this.
      </Typography>
    </Sheet>
  );
}

/** The address of the batch as a square that a telephone reads. */
function Square({ address }: { address: string }) {
  const { size, path } = useMemo(() => squareOf(address), [address]);
  return (
    <svg className="qr" viewBox={`-1 -1 ${size + 2} ${size + 2}`} role="img" aria-label="The address of the batch" shapeRendering="crispEdges">
      <path d={path} fill="#000" />
    </svg>
  );
}

function squareOf(address: string): { size: number; path: string } {
  const { size, data } = create(address, { errorCorrectionLevel: 'M' }).modules;
  const path = Array.from(data)
    .flatMap((dark, i) => (dark ? [`M${i % size} ${Math.floor(i / size)}h1v1h-1z`] : []))
    .join('');
  return { size, path };
}
