import { readAt, trulyRead, type PitWatch } from '@bunkhouse/core';
import { useState } from 'react';
import type { Batch } from '../../data/batches';
import { NumberField } from '../../instruments/NumberField';
import { Choice } from '../../shell/Choice';
import { Glyph } from '../../shell/glyphs';
import { useTend } from '../../shell/pit/useTend';
import { usePreferences } from '../../shell/preferences';
import { ReadWith, useThermometers } from '../../shell/record/ReadWith';
import { useNow } from '../../shell/useNow';
import { inWords } from '../../shell/quantities';

const PLACES = ['Thick end', 'Middle', 'Thin end'] as const;

/** An instant-read check of a piece in several places: the lowest decides, and the probe is held against it. */
export function CheckForm({ batch, watch, onDone }: { batch: Batch; watch: PitWatch; onDone: () => void }) {
  const preferences = usePreferences();
  const { tend, busy, fault } = useTend(batch);
  const [piece, setPiece] = useState(watch.pieces[0]?.piece ?? 'A');
  const [places, setPlaces] = useState<readonly (number | undefined)[]>(PLACES.map(() => undefined));
  const [tried, setTried] = useState(false);
  const placesC = places.filter((C) => C !== undefined);
  const isRight = placesC.length > 0 && placesC.every(Number.isFinite);
  const own = watch.pieces.find((candidate) => candidate.piece === piece);
  const lastS = own?.read.at(-1)?.s;
  const probeC = own === undefined || lastS === undefined ? null : readAt(own.read, lastS);
  const now = useNow();
  const { own: inHand } = useThermometers();
  const lowest = isRight ? Math.min(...placesC.map((C) => (inHand === null ? C : trulyRead(inHand, C, now)))) : null;
  const log = async () => {
    setTried(true);
    if (!isRight) return;
    if (await tend({ act: 'check', piece, placesC, ...(probeC === null ? {} : { probeC }) }, undefined, inHand?.id)) onDone();
  };
  return (
    <form
      className="keys check-form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void log();
      }}
    >
      <h2 id="check-title" className="head">
        <Glyph name="read" />
        Instant-read check
      </h2>
      <p className="note">In two or three places, the thickest first. The lowest decides. It does not take the piece off the fire.</p>
      {watch.pieces.length > 1 && (
        <Choice label="Piece" value={piece} options={Object.fromEntries(watch.pieces.map((one) => [one.piece, one.piece]))} onChange={setPiece} />
      )}
      {PLACES.map((place, i) => (
        <NumberField
          key={place}
          big
          label={place}
          quantity="temperature"
          value={places[i]}
          onChange={(C) => setPlaces(places.map((was, k) => (k === i ? C : was)))}
          error={tried && places[i] !== undefined && !Number.isFinite(places[i]) ? 'A temperature must be a number.' : undefined}
          autoFocus={i === 0}
        />
      ))}
      <ReadWith shown={places} at={now} />
      {tried && placesC.length === 0 && (
        <p className="fault" role="alert">
          Read at least one place.
        </p>
      )}
      {probeC !== null && (
        <p className="note" role="status">
          Its probe reads {inWords(probeC, 'temperature', preferences)}.
          {lowest !== null &&
            probeC - lowest > 1 &&
            ` That is ${inWords(probeC - lowest, 'temperature', { ...preferences, temperature: 'C' })} higher than the lowest place: the lower one will count.`}
        </p>
      )}
      {fault !== null && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      <div className="words-act">
        <button type="submit" className="btn go" aria-disabled={busy}>
          {busy ? 'Logging...' : 'Log the check'}
        </button>
        <button type="button" className="btn" onClick={onDone}>
          Not now
        </button>
      </div>
    </form>
  );
}
