import { nitriteLimit, RULE_SETS } from '@bunkhouse/core';
import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { TableHead } from '../../instruments/TableHead';
import { SCHOOL_WORDS } from '../../shell/tradeWords';
import { NUMBERS } from './numbers';
import { Practice } from './Practice';
import { QUESTIONS_OF_THE_TRADE } from './schools';
import { GUIDE } from './words';
import { useWritten } from '../../shell/reader';

/** The cautions, the rule sets, where the numbers come from, the schools, the terms, and exercises. */
export function Guide() {
  const { hash } = useLocation();
  const [sought, setSought] = useState('');
  const place = hash.slice(1);
  useEffect(() => {
    const paragraph = place === '' ? null : document.getElementById(place);
    paragraph?.scrollIntoView({ block: 'center' });
    paragraph?.focus({ preventScroll: true });
  }, [place]);
  const write = useWritten();
  const words = sought.trim().toLowerCase().split(/\s+/);
  const says = (...texts: string[]) => words.every((word) => write(texts.join(' ')).toLowerCase().includes(word));
  const cautions = GUIDE.cautions.filter((caution) => says(caution));
  const schools = Object.values(SCHOOL_WORDS).filter((own) => says(...own));
  const questions = QUESTIONS_OF_THE_TRADE.filter((own) => says(own.asks, own.answers, own.ours, own.where));
  const terms = GUIDE.terms.filter((own) => says(...own));
  const numbers = NUMBERS.filter(({ title, says: text, source }) => says(title, ...text, source));
  const rules = Object.values(RULE_SETS).filter(({ name, source }) => says('rules nitrite limit floor', name, source));
  const found = cautions.length + schools.length + questions.length + terms.length + rules.length + numbers.length;
  return (
    <div className="page guide">
      <div className="page-head">
        <h1 className="title">Guide</h1>
        <label className="field seek">
          <span className="label">Find</span>
          <input
            className="box"
            type="search"
            value={sought}
            placeholder="a word of the trade, a rule, a source"
            onChange={(event) => setSought(event.target.value)}
          />
        </label>
      </div>
      {found === 0 && <p className="lead">The Guide says nothing of that.</p>}
      {cautions.length > 0 && (
        <section className="panel">
          <div className="ph">
            <h2>Cautions</h2>
          </div>
          <ul className="guide-list">
            {cautions.map((caution) => (
              <li key={caution}>{write(caution)}</li>
            ))}
          </ul>
        </section>
      )}
      {rules.length > 0 && (
        <section className="panel">
          <div className="ph">
            <h2>Rule sets for ingoing nitrite</h2>
            <span className="aside">ppm as sodium nitrite</span>
          </div>
          <div className="table-scroll" tabIndex={0} role="region" aria-label="Rule sets">
            <table className="book">
              <TableHead columns={['Rules', { numbers: 'Floor' }, { numbers: 'Limit, pumped or immersed' }, { numbers: 'Belly bacon' }, 'Source']} />
              <tbody>
                {rules.map((set) => (
                  <tr key={set.name}>
                    <th scope="row">{set.name}</th>
                    <td className="n">{set.floor}</td>
                    <td className="n">{nitriteLimit(set, 'ham-bone-in', 'pumped', false)}</td>
                    <td className="n">{nitriteLimit(set, 'belly-bacon', 'pumped', false)}</td>
                    <td>{set.source}. Check your own code.</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </section>
      )}
      {numbers.length > 0 && (
        <section className="panel">
          <div className="ph">
            <h2>Where the numbers come from</h2>
          </div>
          <dl className="guide-terms">
            {numbers.map(({ place: id, title, says: text, source }) => (
              <div key={id} id={id} tabIndex={-1} className={id === place ? 'asked' : undefined}>
                <dt>{title}</dt>
                {text.map((sentence) => (
                  <dd key={sentence}>{write(sentence)}</dd>
                ))}
                <dd className="note">Source: {write(source)}.</dd>
              </div>
            ))}
          </dl>
        </section>
      )}
      {questions.length > 0 && (
        <section className="panel">
          <div className="ph">
            <h2>On what cooks disagree</h2>
            <span className="aside">all of it can be chosen</span>
          </div>
          <div className="table-scroll" tabIndex={0} role="region" aria-label="On what cooks disagree">
            <table className="book disputed">
              <TableHead columns={['Question', 'What is done', 'Proposed here, and why', 'Chosen in']} />
              <tbody>
                {questions.map(({ asks, answers, ours, where }) => (
                  <tr key={asks}>
                    <th scope="row">{asks}</th>
                    <td>{write(answers)}</td>
                    <td>{write(ours)}</td>
                    <td>{where}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </section>
      )}
      <Terms title="How to dose: the schools" terms={schools} />
      <Terms title="Words of the trade" terms={terms} />
      {sought.trim() === '' && <Practice />}
    </div>
  );
}

function Terms({ title, terms }: { title: string; terms: readonly (readonly [string, string])[] }) {
  const write = useWritten();
  if (terms.length === 0) return null;
  return (
    <section className="panel">
      <div className="ph">
        <h2>{title}</h2>
      </div>
      <dl className="guide-terms">
        {terms.map(([name, text]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{write(text)}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
