import Box from '@mui/material/Box';
import { paired } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { isParting, SHAPING_ACTS, thicknessMm, type PieceEvent, type PieceNow, type ShapingAct } from '@bunkhouse/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Panel } from '../../kit/Panel';
import { FormChoice, FormNumber, FormPick, FormWords } from '../../kit/form/fields';
import { SaveOrLeave } from '../../kit/form/SaveOrLeave';
import { SavingForm } from '../../kit/form/SavingForm';
import { useFamily, type Batch } from '../../data/batches';
import { latest, useRecipes } from '../../data/recipes';
import { usePreferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';
import { RecipeOptions } from '../../acts/RecipeOptions';
import { useEntryForm } from '../../acts/useEntryForm';
import { Lineage } from './Lineage';
import { pieceEventTitle, SHAPING_WORDS } from '../../reader/words/pieceWords';
import { Only } from '../../kit/Only';
import { newId } from '../../data/newId';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  pieces: {
    '& ul': { listStyle: 'none' },
    '& > ul > li': {
      display: 'grid',
      gridTemplateColumns: 'auto minmax(0, 1fr) auto',
      gap: '4px 14px',
      alignItems: 'center',
      padding: '4px 12px',
      borderTop: `1px solid ${t.hair}`,
      minHeight: '46px',
    },
    '& > ul > li:first-child': { borderTop: 0 },
    [fold.narrow]: { '& > ul > li': { gridTemplateColumns: 'minmax(0, 1fr)' } },
  },
  pieceActs: { display: 'flex', flexWrap: 'wrap', gap: '0 16px' },
  pieceForm: { gridColumn: '1 / -1', display: 'grid', gap: '12px', padding: '8px 0 12px', maxWidth: '640px' },
} as const;

type Doing = { piece: PieceNow; act: 'shape' | 'split' | 'join' | 'drop' };

/** The pieces that are here, what is done to them, and what was cut from what. */
export function PiecesPanel({ batch }: { batch: Batch }) {
  const { record, state } = batch;
  const [doing, setDoing] = useState<Doing | null>(null);
  const preferences = usePreferences();
  const wasCut = record.origin !== undefined || state.pieceFacts.some(({ event }) => isParting(event));
  const family = useFamily(wasCut ? record.id : null);
  return (
    <Panel
      title="Pieces"
      aside={
        record.origin === undefined ? (
          `${state.pieces.length} here`
        ) : (
          <>
            cut from{' '}
            <Button variant="text" component={Link} to={`/batches/${record.origin.batchId}`}>
              {record.origin.code}
            </Button>
          </>
        )
      }
      sx={styles.pieces}
      label="Pieces"
    >
      <ul>
        {state.pieces.map((piece) => (
          <li key={piece.code}>
            <Box component="b" sx={looks.pieceCode}>
              {record.code} {piece.code}
            </Box>
            <span>
              {inWords(piece.greenG, 'mass', preferences)} green, {inWords(thicknessMm(piece.section), 'length', preferences)} through
            </span>
            {state.outcome === 'live' && doing?.piece.code !== piece.code && (
              <Box component="span" sx={styles.pieceActs}>
                {(
                  [
                    ['shape', 'Trim, bone, tie'],
                    ['split', 'Cut in two'],
                    ...(state.pieces.length > 1
                      ? ([
                          ['join', 'Tie to another'],
                          ['drop', 'It leaves'],
                        ] as const)
                      : []),
                  ] as const
                ).map(([act, word]) => (
                  <Only key={act} right="plan">
                    <Button variant="text" aria-label={`${word}: piece ${piece.code}`} onClick={() => setDoing({ piece, act })}>
                      {word}
                    </Button>
                  </Only>
                ))}
              </Box>
            )}
            {doing?.piece.code === piece.code && <Form key={doing.act} batch={batch} doing={doing} onDone={() => setDoing(null)} />}
          </li>
        ))}
      </ul>
      {family !== undefined && family.length > 1 && <Lineage family={family} own={record.id} />}
    </Panel>
  );
}

interface Handled {
  shaping: ShapingAct;
  offG: number | undefined;
  weighsG: number | undefined;
  staysG: number | undefined;
  goesG: number | undefined;
  /** the batch that the part becomes, or the piece that it is tied to */
  to: string;
  /** id of a recipe; empty for that of the whole */
  recipe: string;
  reason: string;
}

/** What is done to a piece, from what was typed. A weight that is missing is asked for by the log. */
function eventOf({ piece: { code: piece }, act }: Doing, { shaping, offG, weighsG, staysG, goesG, to }: Handled): PieceEvent {
  switch (act) {
    case 'shape':
      return { act: shaping, piece, ...(offG === undefined ? {} : { offG }), ...(weighsG === undefined ? {} : { weighsG }) };
    case 'split':
      return { act: 'split', piece, staysG: staysG ?? Number.NaN, goesG: goesG ?? Number.NaN, to };
    case 'join':
      return { act: 'joined', piece, to };
    case 'drop':
      return { act: 'dropped', piece };
  }
}

const BUTTONS = { shape: 'Log the piece', split: 'Log the cut', join: 'Log tied together', drop: 'Log that it leaves' } as const;

function Form({ batch, doing, onDone }: { batch: Batch; doing: Doing; onDone: () => void }) {
  const { piece, act } = doing;
  const { recipes } = useRecipes();
  const preferences = usePreferences();
  const others = batch.state.pieces.filter(({ code }) => code !== piece.code);
  const [part] = useState(newId);
  const of = useEntryForm<Handled>(batch, {
    first: {
      shaping: 'trimmed',
      offG: undefined,
      weighsG: undefined,
      staysG: undefined,
      goesG: undefined,
      to: act === 'split' ? part : (others[0]?.code ?? ''),
      recipe: '',
      reason: '',
    },
    said: (typed) => {
      const chosen = act === 'split' ? recipes.find(({ id }) => id === typed.recipe) : undefined;
      return {
        kind: 'pieces',
        event: eventOf(doing, typed),
        ...(typed.reason.trim() === '' ? {} : { reason: typed.reason.trim() }),
        ...(chosen === undefined ? {} : { recipe: { id: chosen.id, version: latest(chosen).version } }),
      };
    },
    what: (typed) => pieceEventTitle(eventOf(doing, typed), preferences),
    onDone,
  });
  return (
    <SavingForm of={of} sx={styles.pieceForm} acts={<SaveOrLeave busy={of.busy} word={BUTTONS[act]} onLeave={onDone} />}>
      {act === 'shape' && (
        <>
          <FormChoice<Handled, ShapingAct>
            name="shaping"
            label="What was done"
            options={Object.fromEntries(SHAPING_ACTS.map((one) => [one, SHAPING_WORDS[one]])) as Record<ShapingAct, string>}
          />
          <Box sx={paired}>
            <FormNumber<Handled> name="offG" label="Cut away" quantity="mass" hint="empty if not weighed" />
            <FormNumber<Handled> name="weighsG" label="Weighs now" quantity="mass" hint="empty if not weighed" />
          </Box>
        </>
      )}
      {act === 'split' && (
        <>
          <Box sx={paired}>
            <FormNumber<Handled> name="staysG" label="What stays weighs" quantity="mass" />
            <FormNumber<Handled> name="goesG" label="What goes weighs" quantity="mass" />
          </Box>
          <FormPick<Handled>
            name="recipe"
            label="What goes is made by"
            hint="It becomes a batch of its own, with its own tag and log. What was logged so far stands in both."
          >
            <option value="">the same recipe</option>
            <RecipeOptions />
          </FormPick>
        </>
      )}
      {act === 'join' && (
        <FormChoice<Handled, string> name="to" label="Tied to" options={Object.fromEntries(others.map(({ code }) => [code, `Piece ${code}`]))} />
      )}
      <FormWords<Handled> name="reason" label={act === 'drop' ? 'Why it leaves' : 'Why, or what was seen'} maxLength={400} />
    </SavingForm>
  );
}
