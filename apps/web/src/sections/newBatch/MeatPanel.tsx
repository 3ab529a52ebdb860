import type { BatchRequest } from '@bunkhouse/api';
import { MOST_PIECES } from '@bunkhouse/core';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import { Choice } from '../../shell/Choice';
import { latest, processOfVersion, useRecipes } from '../../data/recipes';
import { PRODUCT_NAMES } from '../../shell/tradeWords';
import { fresh, underRules } from './firstRequest';
import { FormNumber } from './FormNumber';
import { useProcess } from './useProcess';

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
    if (like !== undefined) pieces.append({ ...like });
  };
  return (
    <section className="panel">
      <div className="ph">
        <h2>The meat</h2>
      </div>
      <div className="pad">
        <label className="field">
          <span className="label">Recipe</span>
          <select className="box" value={recipe?.id ?? ''} onChange={(event) => chooseRecipe(event.target.value)}>
            {recipe === undefined && <option value="">{PRODUCT_NAMES[product]}</option>}
            {offered.map((one) => (
              <option key={one.id} value={one.id}>
                {latest(one).recipe.name}
              </option>
            ))}
          </select>
        </label>
        {process.recipe !== undefined && (
          <p className="note">
            Version {process.recipe.version}: the batch keeps it.{' '}
            <Link className="lnk" to={`/recipes/${process.recipe.id}`}>
              Look at the recipe
            </Link>
          </p>
        )}
        {process.note !== undefined && <p className="note">{process.note}</p>}
        {pieces.fields.map((field, i) => (
          <PieceFields key={field.id} index={i} onRemove={pieces.fields.length > 1 ? () => pieces.remove(i) : undefined} />
        ))}
        {pieces.fields.length < MOST_PIECES && (
          <button type="button" className="btn" onClick={addPiece}>
            Add a piece
          </button>
        )}
      </div>
    </section>
  );
}

function PieceFields({ index, onRemove }: { index: number; onRemove: (() => void) | undefined }) {
  const { control, setValue } = useFormContext<BatchRequest>();
  const shape = useWatch({ control, name: `pieces.${index}.shape` });
  const skinOn = useWatch({ control, name: `pieces.${index}.skinOn` });
  const letter = PIECE_LETTERS[index];
  return (
    <fieldset className="piece">
      <legend className="label">Piece {letter}</legend>
      <FormNumber name={`pieces.${index}.greenG`} label="Weight" quantity="mass" />
      <Choice label="Shape" value={shape} options={{ round: 'Round', slab: 'Flat' }} onChange={(chosen) => setValue(`pieces.${index}.shape`, chosen)} />
      <FormNumber name={`pieces.${index}.thicknessMm`} label={shape === 'slab' ? 'Thickness' : 'Diameter'} quantity="length" hint="at the thickest" />
      <FormNumber name={`pieces.${index}.lengthMm`} label="Length" quantity="length" />
      <FormNumber name={`pieces.${index}.boneMm`} label="Bone, across" quantity="length" hint="empty for none" />
      <FormNumber name={`pieces.${index}.fatCapMm`} label="Fat left on" quantity="length" hint="empty for none" />
      <Choice
        label="Skin, silver skin"
        value={skinOn === true ? 'on' : 'off'}
        options={{ off: 'Off', on: 'On one side' }}
        onChange={(chosen) => setValue(`pieces.${index}.skinOn`, chosen === 'on' ? true : undefined)}
      />
      {onRemove !== undefined && (
        <button type="button" className="lnk" onClick={onRemove}>
          Take piece {letter} out
        </button>
      )}
    </fieldset>
  );
}

/** Only what has a value: a form's field that is not there differs from one that is empty. */
const given = <T extends object>(part: T): Partial<T> => Object.fromEntries(Object.entries(part).filter(([, value]) => value !== undefined)) as Partial<T>;
