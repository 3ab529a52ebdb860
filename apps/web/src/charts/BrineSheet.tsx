import Typography from '@mui/material/Typography';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableFooter from '@mui/material/TableFooter';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import {
  brineName,
  sheetLines,
  floatReading,
  SIXTY_F_C,
  splitWater,
  spicesOf,
  sum,
  type BatchDesign,
  type BatchFacts,
  type BrineFigures,
  type Process,
  type SheetBrine,
  type SheetLine,
} from '@bunkhouse/core';
import { useMemo, useState } from 'react';
import { Panel } from '../kit/Panel';
import { usePreferences } from '../reader/preferences';
import { digits, inWords, type Quantity, perMeat, fewDigits, weighedIn } from '../reader/quantities';
import { Float } from './Float';
import { HotAndIce } from './HotAndIce';
import { Working } from '../kit/Working';
import { cureName } from '../reader/words/tradeWords';
import Box from '@mui/material/Box';
import { looks } from '../theme/looks';
import { t } from '../theme/tokens';
import { worded } from '../theme/type';

const styles = {
  cure: { '& small': { color: t.nitrite.ink } },
  num: { '&&': { fontSize: '22px', lineHeight: '24px' } },
  total: { '&&': { fontSize: '19px', lineHeight: '24px' } },
  ofCure: { '&&': { color: t.nitrite.ink } },
  step: { '&&': { font: worded(13.5, 18, 400), color: t.ink3 } },
  strength: { padding: '8px 12px 10px', display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', gap: '2px 5px' },
  strong: { fontSize: '26px', '&:nth-of-type(2)': { marginLeft: '12px' } },
  floats: { padding: '4px 12px 12px', display: 'grid', gap: '6px', justifyItems: 'start' },
} as const;

/** What to weigh into a bucket, and how strong it comes out. Spice goes into what the meat lies in, by the weight of the meat. */
export function BrineSheet({
  brine,
  figures,
  design,
  process,
  facts,
}: {
  brine: SheetBrine;
  /** none of a rub */
  figures: BrineFigures | undefined;
  design: BatchDesign;
  process?: Process;
  facts?: BatchFacts;
}) {
  const preferences = usePreferences();
  const spices = brine.id === 'pickle' || facts === undefined || process === undefined ? [] : spicesOf(process, design);
  const notes: Partial<Record<SheetLine['name'], string>> = {
    waterG: 'ice counts',
    cureG: `${fewDigits(design.cure.nitritePercent)} % nitrite`,
    acceleratorG: 'last, never into warm concentrate',
  };
  const lines: { key: string; name: string; note?: string | undefined; grams: number; quantity: Quantity; step: number; cure?: boolean }[] = sheetLines(
    brine,
    design,
  ).map(({ name, label, g, scale }) => ({
    key: name,
    name: name === 'waterG' ? 'Water' : name === 'cureG' ? cureName(label) : label,
    note: notes[name],
    grams: g,
    quantity: scale === 'cure' ? 'smallMass' : name === 'waterG' ? 'mass' : weighedIn(g, preferences),
    step: scale === 'cure' ? design.cureScaleStepG : design.meatScaleStepG,
    cure: name === 'cureG',
  }));
  const cureAt = lines.findIndex(({ key }) => key === 'cureG' || key === 'acceleratorG');
  lines.splice(
    cureAt < 0 ? lines.length : cureAt,
    0,
    ...spices.map(({ name, gPerKg }) => ({
      key: `spice-${name}`,
      name,
      note: perMeat(gPerKg, preferences),
      grams: (gPerKg * sum(facts?.greenG ?? {})) / 1000,
      quantity: 'smallMass' as const,
      step: design.cureScaleStepG,
    })),
  );
  const title = brineName(brine.id, design.school);
  return (
    <Panel title={title} aside={brine.weighed ? 'as weighed' : 'to weigh'} sx={looks.brineSheet} label={title}>
      <Table>
        <TableBody>
          {lines.map((line) => (
            <TableRow key={line.key} sx={line.cure ? styles.cure : {}}>
              <TableCell component="th" scope="row">
                {line.name}
                {line.note !== undefined && <small>{line.note}</small>}
              </TableCell>
              <TableCell sx={[looks.num, styles.num, line.cure === true && styles.ofCure]}>{inWords(line.grams, line.quantity, preferences)}</TableCell>
              <TableCell sx={styles.step}>± {inWords(line.step / 2, line.quantity, preferences, decimalsOf(line.step / 2, preferences.system))}</TableCell>
            </TableRow>
          ))}
        </TableBody>
        <TableFooter>
          <TableRow>
            <TableCell component="th" scope="row">
              Together
            </TableCell>
            <TableCell sx={[looks.num, styles.total]}>{inWords(brine.brineG, 'mass', preferences)}</TableCell>
            <TableCell />
          </TableRow>
        </TableFooter>
      </Table>
      {figures !== undefined && <Strength figures={figures} />}
    </Panel>
  );
}

/** How strong it comes out, by every measure. */
function Strength({ figures }: { figures: BrineFigures }) {
  const { brine, strength, salometer } = figures;
  return (
    <>
      <Box sx={styles.strength}>
        <Box component="span" sx={[looks.num, styles.strong]}>
          {digits(strength.value, 1)}
        </Box>{' '}
        <Box component="span" sx={looks.unit}>
          % salt
        </Box>
        <Box component="span" sx={[looks.num, styles.strong]}>
          {digits(salometer, 0)}
        </Box>{' '}
        <Box component="span" sx={looks.unit}>
          ° salometer
        </Box>
        <Working figures={[strength]} />
      </Box>
      <Floats figures={figures} />
      {!brine.weighed && brine.waterG > 0 && <Cold figures={figures} />}
    </>
  );
}

/** What a hydrometer will say to it: to check the bucket by. */
function Floats({ figures: { brine, strength, salometer } }: { figures: BrineFigures }) {
  const preferences = usePreferences();
  const [open, setOpen] = useState(false);
  const sugarPercent = Math.min(30, (brine.sugarG / brine.brineG) * 100);
  const reads = useMemo(() => floatReading({ saltPercent: strength.value, sugarPercent, sampleC: SIXTY_F_C }).salometer, [strength.value, sugarPercent]);
  if (reads === null) return null;
  return (
    <Box sx={styles.floats}>
      <Typography variant="note">
        A float should read {digits(reads, 0)} ° in it at {inWords(SIXTY_F_C, 'temperature', preferences)}
        {reads - salometer >= 1 ? `: its sugar lifts it ${digits(reads - salometer, 0)} °` : ''}.
      </Typography>
      <Button variant="text" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Hide the float' : 'Show the float'}
      </Button>
      {open && <Float reads={reads} saltAlone={salometer} />}
    </Box>
  );
}

/** A kitchen's usual split: the Bench has every other one. */
const USUAL_SPLIT = { concentrateFraction: 0.3, hotC: 95, coldC: 12, targetC: 3 };

function Cold({ figures: { brine } }: { figures: BrineFigures }) {
  const preferences = usePreferences();
  const split = splitWater({ totalWaterG: brine.waterG, ...USUAL_SPLIT, soluteG: brine.saltG + brine.sugarG });
  return (
    <Box sx={styles.floats}>
      <HotAndIce split={split} hotC={USUAL_SPLIT.hotC} coldC={USUAL_SPLIT.coldC} />
      <Typography variant="note">
        The water in three parts: mixed, it stands at {inWords(split.finalC, 'temperature', preferences, 0)}. Other temperatures: on the Bench.
      </Typography>
    </Box>
  );
}

const decimalsOf = (grams: number, system: 'metric' | 'us'): number => (system === 'us' ? 3 : grams < 1 ? 2 : 1);
