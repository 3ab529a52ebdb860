import type { BatchRequest } from '@bunkhouse/api';
import { MOST_PIECES, PROCESSES } from '@bunkhouse/core';
import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { Choice } from '../../shell/Choice';
import { fresh } from './firstRequest';
import { FormNumber } from './FormNumber';

const PIECE_LETTERS = 'ABCDEFGHIJKL';
const PRODUCTS = Object.fromEntries(PROCESSES.map((process) => [process.product, process.name])) as Record<BatchRequest['product'], string>;

/** What it is to be, and the pieces. */
export function MeatPanel() {
  const { control, getValues, reset } = useFormContext<BatchRequest>();
  const product = useWatch({ control, name: 'product' });
  const pieces = useFieldArray({ control, name: 'pieces' });
  const chooseProduct = (chosen: BatchRequest['product']) => {
    const { by, ruleSet, houseLimit, houseFloor, cure, nitritePpm, startsAt, diffusivity } = getValues();
    reset({ ...fresh(chosen, by), ruleSet, nitritePpm, startsAt, ...given({ houseLimit, houseFloor, cure, diffusivity }) });
  };
  const addPiece = () => {
    const like = getValues('pieces').at(-1) ?? fresh(product, '').pieces[0];
    if (like !== undefined) pieces.append({ ...like });
  };
  return (
    <section className="panel">
      <div className="ph">
        <h2>The meat</h2>
      </div>
      <div className="pad">
        <Choice label="What it is to be" value={product} options={PRODUCTS} onChange={chooseProduct} />
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
