import { ENGLISH, PASTED_WORDS, SHEET_WORDS, workOut } from '@bunkhouse/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { houseTime } from '../../data/serverClock';
import { Choice } from '../../shell/Choice';
import { Glyph } from '../../shell/glyphs';
import { usePreferences } from '../../shell/preferences';
import { digits } from '../../shell/quantities';
import { Sentences, useSay } from '../../shell/reader';
import { Answer } from './Answer';
import { HaveForm } from './HaveForm';
import { sheetText, sheetTitle } from './sheetText';
import { toBatch } from './toBatch';
import { Sheet, useSheet } from './useSheet';
import { WantForm } from './WantForm';
import { newId } from '../../data/newId';
import { copyText } from '../../shell/copyText';

const QUARTER_MS = 900_000;
/** What is said of somebody's recipe is said here alone. */
const SENTENCES = { ...ENGLISH, ...PASTED_WORDS, ...SHEET_WORDS };

/** The calculator beside the tub: what is wanted, or what somebody else wrote, worked out at every key. */
export function Bench() {
  const preferences = usePreferences();
  const [sheet, change] = useSheet();
  const [params] = useSearchParams();
  const shown = useDeferredValue(sheet);
  const worked = useMemo(() => workOut(shown), [shown]);
  const fault = 'fault' in worked.recipe ? worked.recipe.fault : null;
  const context = useMemo(() => ({ sheet, change, fault }), [sheet, change, fault]);
  const batch = params.get('batch');
  return (
    <Sentences value={SENTENCES}>
      <Sheet value={context}>
        <div className="page bench">
          <div className="bench-head">
            <div>
              <h1 className="title">Bench</h1>
              {batch === null ? (
                <p className="note">A loose sheet, kept in the address.</p>
              ) : (
                <Link className="lnk" to={`/batches/${encodeURIComponent(batch)}`}>
                  Back to {params.get('code') ?? 'the batch'}
                </Link>
              )}
            </div>
            <Choice
              quiet
              label="What stands on the sheet"
              value={sheet.door}
              options={{ want: 'What I want', have: 'What I have' }}
              onChange={(door) => change({ door })}
            />
            <SheetActions worked={worked} sheet={shown} />
          </div>
          <div className="bench-form">{sheet.door === 'want' || worked.read === null ? <WantForm /> : <HaveForm read={worked.read} />}</div>
          <p className="print-only head">{sheetTitle(shown, preferences)}</p>
          <Peek worked={worked} />
          <div className="bench-answer" id="answer">
            <Answer sheet={shown} worked={worked} change={change} />
            <p className="note caution-line">
              Nitrite is poisonous in gram amounts: weigh it, label it, lock it away. This tool computes; your local food code, your inspector and the label of
              your cure decide.
            </p>
          </div>
        </div>
      </Sheet>
    </Sentences>
  );
}

/** On a narrow screen the answer lies below the form: its one number stays in sight. */
function Peek({ worked }: { worked: ReturnType<typeof workOut> }) {
  if ('fault' in worked.recipe) return null;
  const { nitrite, findings } = worked.recipe.value.audit;
  const { applies, judgement } = nitrite;
  const stop = findings.some((finding) => finding.level === 'stop');
  const show = () => document.getElementById('answer')?.scrollIntoView();
  return (
    <button type="button" className={`bench-peek${stop ? ' stop' : ''}`} onClick={show}>
      <b className="num">{worked.asking > 0 ? `${digits(applies.low, 0)} to ${digits(applies.high, 0)}` : digits(applies.value, 1)} ppm</b>
      <span>{worked.asking > 0 ? 'questions are open' : stop ? 'Stop: read why' : PEEK_WORDS[judgement.verdict]}</span>
    </button>
  );
}

const PEEK_WORDS = { ok: 'between floor and limit', over: 'over the limit', under: 'under the floor' } as const;

/** Print, copy, and the one filled button: start a batch with it. */
function SheetActions({ sheet, worked }: { sheet: Parameters<typeof toBatch>[0]; worked: ReturnType<typeof workOut> }) {
  const preferences = usePreferences();
  const { name } = preferences;
  const say = useSay();
  const navigate = useNavigate();
  const [said, setSaid] = useState('');
  const recipe = 'value' in worked.recipe ? worked.recipe.value : null;
  const batch = toBatch(sheet, worked, { id: '', by: name, startsAt: '' });
  const start = () => {
    const asked = { id: newId(), by: name, startsAt: new Date(Math.ceil(houseTime() / QUARTER_MS) * QUARTER_MS).toISOString() };
    const made = toBatch(sheet, worked, asked);
    if ('request' in made) void navigate('/new', { state: { request: made.request } });
  };
  const copy = async () => {
    if (recipe === null) return;
    const went = await copyText(sheetText(sheet, recipe, preferences, say));
    setSaid(went ? 'Copied.' : 'This browser does not let it be copied. Print it instead.');
  };
  return (
    <div className="bench-act">
      <div className="bench-buttons">
        <button type="button" className="btn" disabled={recipe === null} onClick={() => void copy()}>
          Copy the sheet
        </button>
        <button type="button" className="btn" disabled={recipe === null} onClick={() => window.print()}>
          Print
        </button>
        <button type="button" className="btn go" disabled={'reason' in batch} onClick={start}>
          <Glyph name="start" />
          Start a batch
        </button>
      </div>
      <p className="note" role="status">
        {said !== '' ? said : 'reason' in batch ? batch.reason : ''}
      </p>
    </div>
  );
}
