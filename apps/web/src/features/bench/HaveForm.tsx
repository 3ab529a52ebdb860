import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded, paired } from '../../theme/surfaces';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Panel } from '../../kit/Panel';
import { Pick } from '../../kit/Pick';
import Button from '@mui/material/Button';
import { CURE_METHODS, cureMixOf, lineContents, unitKind, type ReadLine, type ReadRecipe } from '@bunkhouse/core';
import { WordsField } from '../../kit/WordsField';
import { Choice } from '../../kit/Choice';
import { LONGEST_TEXT } from '../../acts/benchAddress';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords } from '../../reader/quantities';
import { CureFields } from './CureFields';
import { MeatFields } from './MeatFields';
import { BenchScales } from './BenchScales';
import { SheetNumber, SheetSelect } from './SheetNumber';
import { useSheetContext } from './useSheet';
import { USE_WORDS } from './words';
import { useSay } from '../../reader/reader';
import { cureName } from '../../reader/words/tradeWords';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed, worded } from '../../theme/type';

const styles = {
  question: {
    padding: '8px 0 4px 10px',
    borderLeft: `3px solid ${t.hair2}`,
    '& .MuiTypography-label': { textTransform: 'none', letterSpacing: 0, fontSize: '16px', lineHeight: '20px', color: t.ink },
  },
  questionAsked: { borderColor: t.amber.main },
  readLines: {
    width: '100%',
    borderCollapse: 'collapse',
    borderTop: `1px solid ${t.hair}`,
    '& th, & td': {
      padding: '5px 10px',
      textAlign: 'left',
      borderBottom: `1px solid ${t.hair}`,
      font: worded(15, 19, 400),
      verticalAlign: 'middle',
      overflowWrap: 'anywhere',
    },
    '& thead th': { font: signed(13, 16, 600), color: t.ink3, background: t.sunk },
    '& tbody th small': { display: 'block' },
  },
  wrong: { '&& > *': { color: t.danger.ink, fontWeight: 500 } },
  num: { '&&': { font: signed(18, 20, 600), '& small': { marginLeft: '6px' } } },
  ofCure: { '&&': { color: t.nitrite.ink } },
  slim: { '& .MuiNativeSelect-select': { minHeight: '44px', fontSize: '16px', padding: '4px 6px', width: '112px' } },
} as const;

/** A recipe as it stands on paper: read, asked about, and how it is used. */
export function HaveForm({ read }: { read: ReadRecipe }) {
  const say = useSay();
  const { sheet, change } = useSheetContext();
  const preferences = usePreferences();
  const pumps = sheet.use === 'pumped' || sheet.use === 'pumpAndCover';
  const { meatG } = read;
  return (
    <>
      <Panel title="What I have" aside="any measures">
        <Box sx={padded}>
          <WordsField
            label="The recipe, a line each or commas between"
            rows={7}
            value={sheet.text}
            placeholder={'2 1/2 cups coarse salt\n1 gal water\n4 tsp pink cure #1'}
            onChange={(text) => change({ text: text })}
            error={sheet.text.length > LONGEST_TEXT ? 'Too long for the address: this sheet is lost when the page is closed.' : undefined}
          />
          {read.questions.map((question) => (
            <Box key={question.id} sx={[styles.question, sheet.answers[question.id] === undefined && styles.questionAsked]}>
              <Choice
                label={say(question.ask)}
                value={sheet.answers[question.id] ?? ''}
                options={Object.fromEntries(question.options.map((option) => [option.value, cureName(say(option.label))]))}
                onChange={(answer) => change({ answers: { ...sheet.answers, [question.id]: answer } })}
              />
            </Box>
          ))}
        </Box>
        {read.lines.length > 0 && <ReadLines lines={read.lines} />}
      </Panel>
      <Panel title="The meat, and how it is used">
        <Box sx={padded}>
          {meatG !== null && Math.abs(meatG / sheet.greenG - 1) > 0.001 && (
            <Button onClick={() => change({ greenG: Math.round(meatG) })}>Take {inWords(meatG, 'mass', preferences)} of meat, as the recipe says</Button>
          )}
          <SheetSelect
            label="How it is used"
            value={sheet.use}
            options={CURE_METHODS.map((use) => [use, USE_WORDS[use]] as const)}
            onChange={(use) => change({ use })}
          />
          <MeatFields />
          <Box sx={paired}>
            {pumps && <SheetNumber field="pumpPercent" label="Pump, of green weight" sign="%" />}
            <SheetNumber field="lyingDays" label="Days in the brine" sign="d" decimals={1} optional placeholder="not said" />
            {(sheet.use === 'immersion' || sheet.use === 'clock') && (
              <SheetNumber field="pulledG" label="Weight when pulled" quantity="mass" optional placeholder="not weighed" />
            )}
            <SheetNumber field="aimPpm" label="Nitrite to aim at" sign="ppm" />
          </Box>
          <CureFields />
          <Box sx={paired}>
            <SheetNumber field="meatStepG" label="Big scale steps by" quantity="smallMass" />
            <SheetNumber field="cureStepG" label="Cure scale steps by" quantity="smallMass" />
          </Box>
          <BenchScales />
        </Box>
      </Panel>
    </>
  );
}

const STEPS = [0.01, 0.1, 0.5, 1, 2, 5, 10, 50] as const;

/** What was read of each line, in grams with its doubt; a weighed line names its scale. */
function ReadLines({ lines }: { lines: readonly ReadLine[] }) {
  return (
    <Table sx={styles.readLines}>
      <TableHead>
        <TableRow>
          <TableCell>As read</TableCell>
          <TableCell align="right">Grams</TableCell>
          <TableCell>Measured by</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {lines.map((line, i) => (
          <ReadRow key={i} index={i} read={line} />
        ))}
      </TableBody>
    </Table>
  );
}

function ReadRow({ index, read }: { index: number; read: ReadLine }) {
  const say = useSay();
  const { sheet, change } = useSheetContext();
  const { line } = read;
  if (line === null) {
    return (
      <TableRow sx={read.needed ? styles.wrong : {}}>
        <TableCell component="th" scope="row">
          {read.text}
        </TableCell>
        <TableCell colSpan={2} sx={looks.note}>
          {read.fault === undefined ? 'Meat' : say(read.fault)}
        </TableCell>
      </TableRow>
    );
  }
  const cure = cureMixOf(line.ingredient, [sheet.cure]) !== null;
  const usualStep = cure ? sheet.cureStepG : sheet.meatStepG;
  const step = sheet.lineSteps[index] ?? usualStep;
  const byWeight = unitKind(line.unit) === 'mass';
  const onScale = byWeight ? { ...line, stepG: step } : line;
  const { grams } = lineContents(onScale, [sheet.cure]);
  const half = (grams.high - grams.low) / 2;
  return (
    <TableRow>
      <TableCell component="th" scope="row">
        {line.name}
        {line.ingredient === 'flavouring' && <small>flavouring</small>}
      </TableCell>
      <TableCell align="right" sx={[looks.num, styles.num]}>
        {digits(grams.value, grams.value < 100 ? 1 : 0)}
        <small>± {digits(half, half < 10 ? 1 : 0)}</small>
      </TableCell>
      <TableCell>
        {byWeight ? (
          <Pick
            quiet
            sx={styles.slim}
            label={`Scale for ${line.name ?? read.text}`}
            value={String(step)}
            onChange={(grain) => change({ lineSteps: { ...sheet.lineSteps, [index]: Number(grain) } })}
          >
            {[...new Set([...STEPS, usualStep, step])]
              .sort((a, b) => a - b)
              .map((grain) => (
                <option key={grain} value={grain}>
                  {grain} g scale
                </option>
              ))}
          </Pick>
        ) : (
          <Typography variant="note" component="span">
            {line.heaped === true ? 'heaped ' : ''}measure
          </Typography>
        )}
      </TableCell>
    </TableRow>
  );
}
