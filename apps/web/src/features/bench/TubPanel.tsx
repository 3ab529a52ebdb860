import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded, paired } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { Panel } from '../../kit/Panel';
import { useSay } from '../../reader/reader';
import { type BenchSheet, type Figure, type Part, type Tub, type TubShape, waterToCoverG } from '@bunkhouse/core';
import { useMemo } from 'react';
import { Hero } from '../../kit/Hero';
import { piecesLie, TubPicture } from '../../charts/TubPicture';
import { Working } from '../../kit/Working';
import { Choice } from '../../kit/Choice';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords } from '../../reader/quantities';
import { SheetNumber } from './SheetNumber';
import { faultOf, type ChangeSheet } from './useSheet';
import { PRODUCT_NAMES } from '../../reader/words/tradeWords';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  trio: { gridTemplateColumns: 'repeat(3, minmax(0, 1fr))' },
  bad: { borderColor: t.danger.main, color: t.danger.ink, fontWeight: 500 },
} as const;

const SHAPES: Record<TubShape, string> = { bag: 'Bag', rectangular: 'Box', round: 'Round tub' };

/** What it lies in: enough to cover, room for it, and what holds it down. */
export function TubPanel({ sheet, tub, change, figures }: { sheet: BenchSheet; tub: Part<Tub>; change: ChangeSheet; figures: Figure[] }) {
  const preferences = usePreferences();
  const say = useSay();
  return (
    <Panel title="Tub or bag" label="Tub or bag" aside={'value' in tub ? <>{inWords(tub.value.brineML, 'volume', preferences)} of brine</> : undefined}>
      <Box sx={padded}>
        <Choice label="It lies in a" value={sheet.tub} options={SHAPES} onChange={(shape) => change({ tub: shape })} />
        {'fault' in tub ? <Typography variant="fault">{say(faultOf(tub.fault))}</Typography> : <InTub sheet={sheet} tub={tub.value} change={change} />}
        {'value' in tub && <Working figures={figures} />}
        {sheet.tub !== 'bag' && (
          <Box sx={[looks.trio, styles.trio]}>
            <SheetNumber field="tubLengthMm" label={sheet.tub === 'round' ? 'Across' : 'Long'} quantity="length" />
            {sheet.tub === 'rectangular' && <SheetNumber field="tubWidthMm" label="Wide" quantity="length" />}
            <SheetNumber field="tubHeightMm" label="High" quantity="length" />
            <SheetNumber field="coverMm" label="Cover it by" quantity="length" />
            <SheetNumber field="shelfMm" label="Shelf room" quantity="length" />
          </Box>
        )}
      </Box>
    </Panel>
  );
}

function InTub({ sheet, tub, change }: { sheet: BenchSheet; tub: Tub; change: ChangeSheet }) {
  const preferences = usePreferences();
  const { cover } = tub;
  const short = cover !== null && !tub.covered && sheet.door === 'want';
  const waterG = useMemo(() => (short ? waterToCoverG(sheet) : null), [short, sheet]);
  return (
    <>
      {cover !== null && <TubPicture tub={tub} pieceLengthMm={sheet.lengthMm} name={PRODUCT_NAMES[sheet.product]} />}
      <Box sx={paired}>
        {cover === null ? (
          <Hero size="md" label="Brine" value={digits(tub.brinePerMeat, 0)} unit="% of the meat" />
        ) : (
          <Hero size="md" label="Brine to cover" value={digits(cover.brineML / 1000, 1)} unit="L" />
        )}
        <Hero size="md" label="To hold it down" value={digits(tub.holdDownG, 0)} unit="g, in brine" />
      </Box>
      <Box component="ul" sx={looks.said}>
        {(cover === null ? bagSays(tub) : tubSays(sheet, tub, cover)).map((sentence) => (
          <Box component="li" key={sentence.text} sx={sentence.bad ? styles.bad : {}}>
            {sentence.text}
          </Box>
        ))}
        <li>
          {tub.holdDownG > 0
            ? `It floats. A stone of ${inWords(tub.stoneG, 'mass', preferences)} on a plate holds it under; a jar of water weighs nothing in brine. Or turn it daily.`
            : 'It sinks in this brine. Turn it daily all the same: lying on its side closes that side.'}
        </li>
      </Box>
      {waterG !== null && <Button onClick={() => change({ waterG })}>Take {inWords(waterG, 'mass', preferences)} of water, to cover it</Button>}
    </>
  );
}

interface Sentence {
  text: string;
  bad?: boolean;
}

function bagSays({ brinePerMeat }: Tub): Sentence[] {
  if (brinePerMeat < 10) return [{ text: 'So little does not reach every side: press the air out, and turn it twice a day.', bad: true }];
  if (brinePerMeat > 90) return [{ text: 'So much is more than a close bag needs: 40 to 50 % of the meat is usual.' }];
  return [{ text: 'In a close-fitting bag with the air pressed out; 40 to 50 % of the meat is usual.' }];
}

function tubSays(sheet: BenchSheet, tub: Tub, cover: NonNullable<Tub['cover']>): Sentence[] {
  const says: Sentence[] = [];
  const shortML = cover.brineML - tub.brineML;
  if (cover.headroomMm < 0)
    says.push({ text: `It runs over: the level it needs is ${digits(-cover.headroomMm, 0)} mm above the rim. Take a higher tub or less cover.`, bad: true });
  else if (!piecesLie(tub, sheet.lengthMm)) says.push({ text: 'They do not lie flat in it. Take a longer or wider tub.', bad: true });
  else if (cover.headroomMm < 30) says.push({ text: `Only ${digits(cover.headroomMm, 0)} mm to the rim: it spills when it is turned.`, bad: true });
  else says.push({ text: `${digits(cover.headroomMm, 0)} mm stay free to the rim.` });
  if (shortML > 1) says.push({ text: `Not covered: ${digits(shortML / 1000, 1)} L are missing.`, bad: true });
  if (tub.onShelf === false) says.push({ text: 'Too high for the shelf.', bad: true });
  if (tub.onShelf === true) says.push({ text: 'It goes on the shelf.' });
  says.push({ text: `Rule of thumb, a US gallon for 4 to 5 lb: ${digits((sheet.greenG / 453.6 / 4.5) * 3.785, 1)} L.` });
  return says;
}
