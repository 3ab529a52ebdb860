import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { RecipeOptions } from '../../acts/RecipeOptions';
import { useEntryForm } from '../../acts/useEntryForm';
import { whenAndWhy, WhenItWas, type WhenSaid } from '../../acts/WhenItWas';
import { WhichPieces } from '../../acts/WhichPieces';
import type { Batch } from '../../data/batches';
import { newId } from '../../data/newId';
import { latest, useRecipes } from '../../data/recipes';
import { FormPick, FormWords } from '../../kit/form/fields';
import { SaveOrLeave } from '../../kit/form/SaveOrLeave';
import { SavingForm } from '../../kit/form/SavingForm';
import { Only } from '../../kit/Only';
import { usePreferences } from '../../reader/preferences';
import { pieceEventTitle } from '../../reader/words/pieceWords';
import { looks } from '../../theme/looks';

/** Opens from a word: a step is for some of the pieces only, which from then on are a batch of their own. */
export function GoApart({ batch }: { batch: Batch }) {
  const [isOpen, setOpen] = useState(false);
  if (batch.state.pieces.length < 2 || batch.state.outcome !== 'live') return null;
  return (
    <Only right="plan">
      {isOpen ? (
        <ApartForm batch={batch} onLeave={() => setOpen(false)} />
      ) : (
        <Button variant="text" onClick={() => setOpen(true)}>
          Only some of the pieces
        </Button>
      )}
    </Only>
  );
}

interface Apart extends WhenSaid {
  pieces: string[];
  /** id of a recipe; empty for that of the whole */
  recipe: string;
  reason: string;
}

function ApartForm({ batch, onLeave }: { batch: Batch; onLeave: () => void }) {
  const navigate = useNavigate();
  const { recipes } = useRecipes();
  const preferences = usePreferences();
  const [to] = useState(newId);
  const eventOf = ({ pieces }: Apart) => ({ act: 'parted', pieces, to }) as const;
  const of = useEntryForm<Apart>(batch, {
    first: { pieces: [], recipe: '', reason: '', at: '', about: false },
    said: (typed) => {
      const chosen = recipes.find(({ id }) => id === typed.recipe);
      return {
        kind: 'pieces',
        event: eventOf(typed),
        ...whenAndWhy(typed),
        ...(chosen === undefined ? {} : { recipe: { id: chosen.id, version: latest(chosen).version } }),
      };
    },
    what: (typed) => pieceEventTitle(eventOf(typed), preferences),
    onDone: () => void navigate(`/batches/${to}`),
  });
  return (
    <SavingForm
      of={of}
      label="Only some of the pieces"
      sx={looks.besideForm}
      acts={<SaveOrLeave busy={of.busy} word="They go their own way" onLeave={onLeave} />}
    >
      <h3>Only some of the pieces</h3>
      <Typography variant="note">
        They become a batch of their own, with its own tag: it is pulled, dried, smoked, read and packed by itself. What was logged so far stands in both.
      </Typography>
      <WhichPieces codes={batch.state.pieces.map(({ code }) => code)} legend="These go on alone" />
      <FormPick<Apart> name="recipe" label="They are made by">
        <option value="">the same recipe</option>
        <RecipeOptions />
      </FormPick>
      <FormWords<Apart> name="reason" label="Why, or what was seen" maxLength={400} />
      <WhenItWas />
    </SavingForm>
  );
}
