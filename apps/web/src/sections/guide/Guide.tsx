import { nitriteLimit, RULE_SETS } from '@bunkhouse/core';
import { SCHOOL_WORDS } from '../../shell/tradeWords';
import { GUIDE } from './words';
import { TableHead } from '../../instruments/TableHead';

/** The terms, the rule sets, where the numbers come from, and the cautions. */
export function Guide() {
  return (
    <div className="page guide">
      <h1 className="title">Guide</h1>
      <section className="panel">
        <div className="ph">
          <h2>Cautions</h2>
        </div>
        <ul className="guide-list">
          {GUIDE.cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </section>
      <section className="panel">
        <div className="ph">
          <h2>Rule sets for ingoing nitrite</h2>
          <span className="aside">ppm as sodium nitrite</span>
        </div>
        <div className="table-scroll" tabIndex={0} role="region" aria-label="Rule sets">
          <table className="book">
            <TableHead columns={['Rules', { numbers: 'Floor' }, { numbers: 'Limit, pumped or immersed' }, { numbers: 'Belly bacon' }, 'Source']} />
            <tbody>
              {Object.values(RULE_SETS).map((rules) => (
                <tr key={rules.name}>
                  <th scope="row">{rules.name}</th>
                  <td className="n">{rules.floor}</td>
                  <td className="n">{nitriteLimit(rules, 'ham-bone-in', 'pumped', false)}</td>
                  <td className="n">{nitriteLimit(rules, 'belly-bacon', 'pumped', false)}</td>
                  <td>{rules.source}. Check your own code.</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
      <Terms title="The schools" terms={Object.values(SCHOOL_WORDS)} />
      <Terms title="Words of the trade" terms={GUIDE.terms} />
    </div>
  );
}

function Terms({ title, terms }: { title: string; terms: readonly (readonly [string, string])[] }) {
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
