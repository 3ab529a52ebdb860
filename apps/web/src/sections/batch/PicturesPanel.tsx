import { PICTURE_LIMIT_MB, type PictureResponse } from '@bunkhouse/api';
import { lazy, Suspense, useRef, useState } from 'react';
import type { Batch } from '../../data/batches';
import { keepPicture, pictureUrl, usePictures } from '../../data/pictures';
import { Refusal } from '../../data/request';
import { houseTime } from '../../data/serverClock';
import { GuideLink } from '../../shell/GuideLink';
import { greyInWords } from '../../shell/bookWords';
import { Choice } from '../../shell/Choice';
import { usePreferences } from '../../shell/preferences';
import { dayAndTime } from '../../shell/times';
import { useNow } from '../../shell/useNow';
import { Only } from '../../shell/Only';
import { newId } from '../../data/newId';

const ReadFace = lazy(async () => ({ default: (await import('./ReadFace')).ReadFace }));

/** Pictures of the cut faces: taken with the camera or from a file, kept with the batch, read between two marks. */
export function PicturesPanel({ batch: { record, state } }: { batch: Batch }) {
  const { data: pictures = [] } = usePictures(record.id);
  const { name } = usePreferences();
  const now = useNow();
  const file = useRef<HTMLInputElement>(null);
  const codes = record.design.pieces.map(({ code }) => code);
  const [piece, setPiece] = useState(codes[0] ?? 'A');
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const [reading, setReading] = useState<string | null>(null);
  const keep = async (picked: File | undefined) => {
    if (picked === undefined) return;
    setFault(null);
    if (picked.size > PICTURE_LIMIT_MB * 1024 * 1024)
      return setFault(`That picture is larger than ${PICTURE_LIMIT_MB} MB. Make it smaller, or take it with less detail.`);
    setBusy(true);
    try {
      const by = name;
      await keepPicture(record.id, { id: newId(), piece, at: new Date(houseTime()).toISOString(), by }, picked);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
    } finally {
      setBusy(false);
      if (file.current !== null) file.current.value = '';
    }
  };
  return (
    <section className="panel pictures" aria-label="Cut faces">
      <div className="ph">
        <h2>Cut faces</h2>
        <span className="aside">
          {pictures.length === 0 ? 'no picture yet' : pictures.length} <GuideLink to="cut-face-picture" of="Cut faces" />
        </span>
      </div>
      {pictures.length > 0 && (
        <ul>
          {pictures.map((picture) => (
            <li key={picture.id}>
              {reading === picture.id ? (
                <Suspense fallback={null}>
                  <ReadFace picture={picture} onDone={() => setReading(null)} />
                </Suspense>
              ) : (
                <Face picture={picture} when={dayAndTime(picture.at, now)} onRead={() => setReading(picture.id)} />
              )}
            </li>
          ))}
        </ul>
      )}
      {fault !== null && (
        <p className="fault pad" role="alert">
          {fault}
        </p>
      )}
      <div className="pad picture-act">
        {codes.length > 1 && <Choice label="Piece" value={piece} options={Object.fromEntries(codes.map((code) => [code, code]))} onChange={setPiece} />}
        <input
          ref={file}
          id="picture-file"
          className="sr"
          type="file"
          accept="image/jpeg,image/png"
          aria-label="A picture of a cut face"
          tabIndex={-1}
          onChange={(event) => void keep(event.target.files?.[0])}
        />
        <Only right="record">
          <button type="button" className="btn" disabled={busy} onClick={() => file.current?.click()}>
            {busy ? 'Turning it upright...' : 'Add a picture of the cut face'}
          </button>
        </Only>
        {state.outcome === 'live' && pictures.length === 0 && (
          <p className="note">Cut across the thickest place, in daylight, with a bit of white board in the picture.</p>
        )}
      </div>
    </section>
  );
}

function Face({ picture, when, onRead }: { picture: PictureResponse; when: string; onRead: () => void }) {
  const { reading, piece, by, width, height } = picture;
  return (
    <figure>
      <a href={pictureUrl(picture)} target="_blank" rel="noreferrer">
        <img src={pictureUrl(picture)} width={width} height={height} alt={`Cut face of piece ${piece}, ${when}`} loading="lazy" />
      </a>
      <figcaption>
        <span>
          Piece {piece}, {when}, {by}
        </span>
        {reading !== null && <b>{greyInWords(reading.shares)}</b>}
        <Only right="record">
          <button type="button" className="lnk" onClick={onRead}>
            {reading === null ? 'How much is grey?' : 'Read it again'}
          </button>
        </Only>
      </figcaption>
    </figure>
  );
}
