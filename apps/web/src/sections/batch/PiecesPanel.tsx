import { SHAPING_ACTS, thicknessMm, type PieceEvent, type PieceNow, type ShapingAct } from '@bunkhouse/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useFamily, type Batch } from '../../data/batches';
import { latest, useRecipes } from '../../data/recipes';
import { NumberField } from '../../instruments/NumberField';
import { Choice } from '../../shell/Choice';
import { usePreferences } from '../../shell/preferences';
import { inWords } from '../../shell/quantities';
import { useWrite } from '../../shell/useWrite';
import { Lineage } from './Lineage';
import { pieceEventTitle, SHAPING_WORDS } from './pieceWords';
import { Only } from '../../shell/Only';
import { newId } from '../../data/newId';

type Doing = { piece: PieceNow; act: 'shape' | 'split' | 'join' | 'drop' };

/** The pieces that are here, what is done to them, and what was cut from what. */
export function PiecesPanel({ batch }: { batch: Batch }) {
  const { record, state } = batch;
  const [doing, setDoing] = useState<Doing | null>(null);
  const preferences = usePreferences();
  const wasCut = record.origin !== undefined || state.pieceFacts.some(({ event }) => event.act === 'split');
  const family = useFamily(wasCut ? record.id : null);
  return (
    <section className="panel pieces" aria-label="Pieces">
      <div className="ph">
        <h2>Pieces</h2>
        <span className="aside">
          {record.origin === undefined ? (
            `${state.pieces.length} here`
          ) : (
            <>
              cut from{' '}
              <Link className="lnk" to={`/batches/${record.origin.batchId}`}>
                {record.origin.code}
              </Link>
            </>
          )}
        </span>
      </div>
      <ul>
        {state.pieces.map((piece) => (
          <li key={piece.code}>
            <b className="piece-code">
              {record.code} {piece.code}
            </b>
            <span>
              {inWords(piece.greenG, 'mass', preferences)} green, {inWords(thicknessMm(piece.section), 'length', preferences)} through
            </span>
            {state.outcome === 'live' && doing?.piece.code !== piece.code && (
              <span className="piece-acts">
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
                    <button type="button" className="lnk" aria-label={`${word}: piece ${piece.code}`} onClick={() => setDoing({ piece, act })}>
                      {word}
                    </button>
                  </Only>
                ))}
              </span>
            )}
            {doing?.piece.code === piece.code && <Form key={doing.act} batch={batch} doing={doing} onDone={() => setDoing(null)} />}
          </li>
        ))}
      </ul>
      {family !== undefined && family.length > 1 && <Lineage family={family} own={record.id} />}
    </section>
  );
}

function Form({ batch, doing: { piece, act }, onDone }: { batch: Batch; doing: Doing; onDone: () => void }) {
  const { write, busy, fault } = useWrite(batch);
  const { recipes } = useRecipes();
  const preferences = usePreferences();
  const [shaping, setShaping] = useState<ShapingAct>('trimmed');
  const [first, setFirst] = useState<number>();
  const [second, setSecond] = useState<number>();
  const [other, setOther] = useState(batch.state.pieces.find(({ code }) => code !== piece.code)?.code ?? '');
  const [recipe, setRecipe] = useState('');
  const [reason, setReason] = useState('');
  const chosen = recipes.find(({ id }) => id === recipe);
  const event = eventOf();
  const send = async () => {
    if (event === null) return;
    const said = {
      kind: 'pieces' as const,
      event,
      ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
      ...(event.act === 'split' && chosen !== undefined ? { recipe: { id: chosen.id, version: latest(chosen).version } } : {}),
    };
    if (await write(said, pieceEventTitle(event, preferences))) onDone();
  };
  return (
    <form
      className="piece-form"
      onSubmit={(submitted) => {
        submitted.preventDefault();
        void send();
      }}
    >
      {act === 'shape' && (
        <>
          <Choice
            label="What was done"
            value={shaping}
            options={Object.fromEntries(SHAPING_ACTS.map((one) => [one, SHAPING_WORDS[one]])) as Record<ShapingAct, string>}
            onChange={setShaping}
          />
          <div className="pair">
            <NumberField label="Cut away" quantity="mass" value={first} onChange={setFirst} hint="empty if not weighed" />
            <NumberField label="Weighs now" quantity="mass" value={second} onChange={setSecond} hint="empty if not weighed" />
          </div>
        </>
      )}
      {act === 'split' && (
        <>
          <div className="pair">
            <NumberField label="What stays weighs" quantity="mass" value={first} onChange={setFirst} />
            <NumberField label="What goes weighs" quantity="mass" value={second} onChange={setSecond} />
          </div>
          <label className="field">
            <span className="label">What goes is made by</span>
            <select className="box" value={recipe} onChange={(changed) => setRecipe(changed.target.value)}>
              <option value="">the same recipe</option>
              {recipes
                .filter(({ putAway }) => !putAway)
                .map((one) => (
                  <option key={one.id} value={one.id}>
                    {latest(one).recipe.name}
                  </option>
                ))}
            </select>
            <small>It becomes a batch of its own, with its own tag and log. What was logged so far stands in both.</small>
          </label>
        </>
      )}
      {act === 'join' && (
        <Choice
          label="Tied to"
          value={other}
          options={Object.fromEntries(batch.state.pieces.filter(({ code }) => code !== piece.code).map(({ code }) => [code, `Piece ${code}`]))}
          onChange={setOther}
        />
      )}
      <label className="field">
        <span className="label">{act === 'drop' ? 'Why it leaves' : 'Why, or what was seen'}</span>
        <input className="box" value={reason} maxLength={400} onChange={(changed) => setReason(changed.target.value)} />
      </label>
      {fault !== null && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      <div className="words-act">
        <button type="submit" className="btn" disabled={event === null || busy}>
          {busy ? 'Logging...' : { shape: 'Log the piece', split: 'Log the cut', join: 'Log tied together', drop: 'Log that it leaves' }[act]}
        </button>
        <button type="button" className="btn quiet" onClick={onDone}>
          Leave it
        </button>
      </div>
    </form>
  );

  function eventOf(): PieceEvent | null {
    const { code } = piece;
    const given = (g: number | undefined) => g !== undefined && Number.isFinite(g);
    switch (act) {
      case 'shape':
        return { act: shaping, piece: code, ...(given(first) ? { offG: first as number } : {}), ...(given(second) ? { weighsG: second as number } : {}) };
      case 'split':
        return given(first) && given(second) ? { act: 'split', piece: code, staysG: first as number, goesG: second as number, to: newId() } : null;
      case 'join':
        return other === '' ? null : { act: 'joined', piece: code, to: other };
      case 'drop':
        return { act: 'dropped', piece: code };
    }
  }
}
