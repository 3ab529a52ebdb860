import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded } from '../../theme/surfaces';
import { Panel } from '../../kit/Panel';
import { FileButton } from '../../kit/FileButton';
import Button from '@mui/material/Button';
import { PICTURE_LIMIT_MB, type PictureResponse } from '@bunkhouse/api';
import { lazy, Suspense, useState } from 'react';
import type { Batch } from '../../data/batches';
import { keepPicture, pictureUrl, usePictures } from '../../data/pictures';
import { Refusal } from '../../data/request';
import { houseTime } from '../../data/serverClock';
import { GuideLink } from '../../kit/GuideLink';
import { greyInWords } from '../../reader/words/bookWords';
import { Choice } from '../../kit/Choice';
import { usePreferences } from '../../reader/preferences';
import { dayAndTime } from '../../reader/times';
import { useNow } from '../../data/useNow';
import { Only } from '../../kit/Only';
import { newId } from '../../data/newId';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed, worded } from '../../theme/type';

const styles = {
  pictures: {
    '& ul': { listStyle: 'none', display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(260px, 1fr))', gap: '12px', padding: '12px' },
    // The one that is read has the whole width.
    '& li:has(svg[tabindex], svg [tabindex])': { gridColumn: '1 / -1' },
    '& img': { display: 'block', width: '100%', height: 'auto', maxHeight: '320px', objectFit: 'contain', background: t.sunk },
    '& figcaption': { display: 'grid', gap: '2px', paddingTop: '6px', font: worded(16, 22, 400) },
    '& figcaption b': { font: signed(18, 24, 600) },
    '& figcaption .MuiButton-text': { justifySelf: 'start' },
  },
  pictureAct: { display: 'flex', flexWrap: 'wrap', gap: '12px', alignItems: 'end' },
} as const;

const ReadFace = lazy(async () => ({ default: (await import('./ReadFace')).ReadFace }));

/** Pictures of the cut faces: taken with the camera or from a file, kept with the batch, read between two marks. */
export function PicturesPanel({ batch: { record, state } }: { batch: Batch }) {
  const { data: pictures = [] } = usePictures(record.id);
  const { name } = usePreferences();
  const now = useNow();
  const codes = record.design.pieces.map(({ code }) => code);
  const [piece, setPiece] = useState(codes[0] ?? 'A');
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const [reading, setReading] = useState<string | null>(null);
  const keep = async (picked: File) => {
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
    }
  };
  return (
    <Panel
      title="Cut faces"
      aside={
        <>
          {pictures.length === 0 ? 'no picture yet' : pictures.length} <GuideLink to="cut-face-picture" of="Cut faces" />
        </>
      }
      sx={styles.pictures}
      label="Cut faces"
    >
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
        <Box component="p" sx={[looks.fault, looks.pad]} role="alert">
          {fault}
        </Box>
      )}
      <Box sx={[styles.pictureAct, padded]}>
        {codes.length > 1 && <Choice label="Piece" value={piece} options={Object.fromEntries(codes.map((code) => [code, code]))} onChange={setPiece} />}
        <Only right="record">
          <FileButton accept="image/jpeg,image/png" name="A picture of a cut face" busy={busy} onFile={(picked) => void keep(picked)}>
            {busy ? 'Turning it upright...' : 'Add a picture of the cut face'}
          </FileButton>
        </Only>
        {state.outcome === 'live' && pictures.length === 0 && (
          <Typography variant="note">Cut across the thickest place, in daylight, with a bit of white board in the picture.</Typography>
        )}
      </Box>
    </Panel>
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
          <Button variant="text" onClick={onRead}>
            {reading === null ? 'How much is grey?' : 'Read it again'}
          </Button>
        </Only>
      </figcaption>
    </figure>
  );
}
