import { useState } from 'react';
import { nitriteLimit, RULE_SETS } from '@bunkhouse/core';
import { SCHOOL_WORDS } from '../../shell/tradeWords';
import { GUIDE } from './words';
import { TableHead } from '../../instruments/TableHead';

/** The terms, the rule sets, where the numbers come from, and the cautions. */
export function Guide() {
  const [sought, setSought] = useState('');
  const says = (...texts: string[]) => texts.join(' ').toLowerCase().includes(sought.trim().toLowerCase());
  const cautions = GUIDE.cautions.filter((caution) => says(caution));
  const schools = Object.values(SCHOOL_WORDS).filter((words) => says(...words));
  const terms = GUIDE.terms.filter((words) => says(...words));
  const rules = Object.values(RULE_SETS).filter(({ name, source }) => says('rules nitrite limit floor', name, source));
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
      {cautions.length + schools.length + terms.length + rules.length === 0 && <p className="lead">The Guide says nothing of that.</p>}
      {cautions.length > 0 && (
        <section className="panel">
          <div className="ph">
            <h2>Cautions</h2>
          </div>
          <ul className="guide-list">
            {cautions.map((caution) => (
              <li key={caution}>{caution}</li>
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
      <Terms title="The schools" terms={schools} />
      <Terms title="Words of the trade" terms={terms} />
    </div>
  );
}

function Terms({ title, terms }: { title: string; terms: readonly (readonly [string, string])[] }) {
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
            <dd>{text}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
