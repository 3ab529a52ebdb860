import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded, paired } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import type { BatchRequest } from '@bunkhouse/api';
import { MOST_PIECES, thicknessMm } from '@bunkhouse/core';
import { useEffect, useState } from 'react';
import { useFieldArray, useFormContext, useFormState, useWatch } from 'react-hook-form';
import { Fold } from '../../kit/Fold';
import { usePreferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';
import { Link } from 'react-router';
import { Panel } from '../../kit/Panel';
import { Pick } from '../../kit/Pick';
import { Choice } from '../../kit/Choice';
import { latest, processOfVersion, useRecipes } from '../../data/recipes';
import { PRODUCT_NAMES } from '../../reader/words/tradeWords';
import { fresh, underRules } from './firstRequest';
import { FormNumber } from '../../kit/form/fields';
import { LastTime } from './LastTime';
import { LyingFields } from './LyingFields';
import { useProcess } from './useProcess';
import { t } from '../../theme/tokens';

const styles = {
  piece: {
    display: 'grid',
    gridTemplateColumns: '1fr 1fr',
    gap: '10px 12px',
    alignItems: 'start',
    borderTop: `1px solid ${t.hair}`,
    paddingTop: '10px',
    '& legend': { float: 'left', gridColumn: '1 / -1', marginBottom: '2px' },
  },
  more: { gridColumn: '1 / -1', margin: '0 -12px' },
} as const;

const PIECE_LETTERS = 'ABCDEFGHIJKL';

/** What it is to be, and the pieces. */
export function MeatPanel() {
  const { control, getValues, reset } = useFormContext<BatchRequest>();
  const [product, recipe] = useWatch({ control, name: ['product', 'recipe'] });
  const process = useProcess({ product, recipe });
  const { recipes } = useRecipes();
  const pieces = useFieldArray({ control, name: 'pieces' });
  const offered = recipes.filter(({ id, putAway }) => !putAway || id === recipe?.id);
  const chooseRecipe = (id: string) => {
    const chosen = recipes.find((one) => one.id === id);
    if (chosen === undefined) return;
    const { by, ruleSet, houseLimit, houseFloor, startsAt, diffusivity } = getValues();
    const usual = fresh(processOfVersion(id, latest(chosen)), by);
    reset({ ...(ruleSet === 'house' ? { ...usual, ruleSet } : underRules(usual, ruleSet)), startsAt, ...given({ houseLimit, houseFloor, diffusivity }) });
  };
  const addPiece = () => {
    const like = getValues('pieces').at(-1) ?? fresh(process, '').pieces[0];
    if (like === undefined) return;
    // Of the same shape as the one before, and neither weighed nor measured yet.
    const { greenG: _weight, thicknessMm: _thickness, lengthMm: _length, ...size } = like;
    const own = getValues('vesselKind') === undefined ? {} : { vessel: pieces.fields.length + 1 };
    pieces.append({ ...size, ...own } as typeof like, { focusName: `pieces.${pieces.fields.length}.greenG` });
  };
  return (
    <Panel title="The meat">
      <Box sx={padded}>
        <Pick label="Recipe" value={recipe?.id ?? ''} onChange={chooseRecipe}>
          {recipe === undefined && <option value="">{PRODUCT_NAMES[product]}</option>}
          {offered.map((one) => (
            <option key={one.id} value={one.id}>
              {latest(one).recipe.name}
            </option>
          ))}
        </Pick>
        <LastTime product={product} />
        {process.recipe !== undefined && (
          <Typography variant="note">
            Version {process.recipe.version}: the batch keeps it.{' '}
            <Button variant="text" component={Link} to={`/recipes/${process.recipe.id}`}>
              Look at the recipe
            </Button>
          </Typography>
        )}
        {process.note !== undefined && <Typography variant="note">{process.note}</Typography>}
        {pieces.fields.map((field, i) => (
          <PieceFields key={field.id} index={i} onRemove={pieces.fields.length > 1 ? () => pieces.remove(i) : undefined} />
        ))}
        {pieces.fields.length < MOST_PIECES && <Button onClick={addPiece}>Add a piece</Button>}
        {pieces.fields.length > 1 && <LyingFields count={pieces.fields.length} />}
      </Box>
    </Panel>
  );
}

function PieceFields({ index, onRemove }: { index: number; onRemove: (() => void) | undefined }) {
  const { control, setValue } = useFormContext<BatchRequest>();
  const preferences = usePreferences();
  const piece = useWatch({ control, name: `pieces.${index}` });
  const { shape, skinOn, lengthMm, boneMm = 0 } = piece;
  const { errors } = useFormState({ control });
  const faults = errors.pieces?.[index];
  const letter = PIECE_LETTERS[index];
  const thickness = useBySize(index, 'thicknessMm');
  const length = useBySize(index, 'lengthMm');
  const now = [
    shape === 'slab' ? 'flat' : 'round',
    ...(Number.isFinite(lengthMm) ? [inWords(lengthMm, 'length', preferences)] : []),
    boneMm > 0 ? `bone ${inWords(boneMm, 'length', preferences)}` : 'no bone',
    skinOn === true ? 'skin on' : 'skin off',
  ];
  return (
    <Box component="fieldset" sx={styles.piece}>
      <Typography variant="label" component="legend">
        Piece {letter}
      </Typography>
      <FormNumber<BatchRequest> name={`pieces.${index}.greenG`} label="Weight" quantity="mass" />
      <FormNumber<BatchRequest>
        name={`pieces.${index}.thicknessMm`}
        label={shape === 'slab' ? 'Thickness' : 'Diameter'}
        quantity="length"
        hint={thickness.isOwn ? 'at the thickest' : 'a guess from the weight: measure it'}
        onTyped={thickness.typed}
      />
      <Box sx={styles.more}>
        <Fold
          name={`The piece ${letter}`}
          now={now.join(', ')}
          isFaulty={faults?.lengthMm !== undefined || faults?.boneMm !== undefined || faults?.fatCapMm !== undefined}
        >
          <Box sx={paired}>
            <Choice label="Shape" value={shape} options={{ round: 'Round', slab: 'Flat' }} onChange={(chosen) => setValue(`pieces.${index}.shape`, chosen)} />
            <FormNumber<BatchRequest>
              name={`pieces.${index}.lengthMm`}
              label="Length"
              quantity="length"
              hint={length.isOwn ? undefined : 'a guess from the weight'}
              onTyped={length.typed}
            />
            <FormNumber<BatchRequest> name={`pieces.${index}.boneMm`} label="Bone, across" quantity="length" hint="empty for none" />
            <FormNumber<BatchRequest> name={`pieces.${index}.fatCapMm`} label="Fat left on" quantity="length" hint="empty for none" />
          </Box>
          <Choice
            label="Skin, silver skin"
            value={skinOn === true ? 'on' : 'off'}
            options={{ off: 'Off', on: 'On one side' }}
            onChange={(chosen) => setValue(`pieces.${index}.skinOn`, chosen === 'on' ? true : undefined)}
          />
        </Fold>
      </Box>
      {onRemove !== undefined && (
        <Button variant="text" onClick={onRemove}>
          Take piece {letter} out
        </Button>
      )}
    </Box>
  );
}

/** A size that nobody measured yet follows the weight, as a piece of the recipe's usual shape; what is typed stays. */
function useBySize(index: number, name: 'thicknessMm' | 'lengthMm'): { isOwn: boolean; typed: () => void } {
  const { control, getValues, setValue } = useFormContext<BatchRequest>();
  const [product, recipe, greenG] = useWatch({ control, name: ['product', 'recipe', `pieces.${index}.greenG`] });
  const { usual } = useProcess({ product, recipe });
  const usualMm = name === 'lengthMm' ? usual.lengthMm : thicknessMm(usual.section);
  const guessOf = (g: number | undefined) =>
    g === undefined || !(g > 0) ? undefined : Math.max(LEAST_MM[name], Math.round(usualMm * Math.cbrt(g / usual.greenG)));
  const guess = guessOf(greenG);
  const [isOwn, setOwn] = useState(() => {
    const { greenG: kept, [name]: size } = getValues(`pieces.${index}`);
    return Number.isFinite(size) && size !== guessOf(kept);
  });
  const id = recipe?.id ?? product;
  const [lastId, setLastId] = useState(id);
  if (id !== lastId) {
    setLastId(id);
    setOwn(false);
  }
  useEffect(() => {
    if (!isOwn && getValues(`pieces.${index}.${name}`) !== guess) setValue(`pieces.${index}.${name}`, guess as number, { shouldValidate: guess !== undefined });
  }, [isOwn, guess, getValues, setValue, index, name]);
  return { isOwn, typed: () => setOwn(true) };
}

const LEAST_MM = { thicknessMm: 5, lengthMm: 30 } as const;

/** Only what has a value: a form's field that is not there differs from one that is empty. */
const given = <T extends object>(part: T): Partial<T> => Object.fromEntries(Object.entries(part).filter(([, value]) => value !== undefined)) as Partial<T>;
