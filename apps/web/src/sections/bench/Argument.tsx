import type { BenchSheet, RecipeAudit } from '@bunkhouse/core';
import { digits, inWords } from '../../shell/quantities';
import { TableHead } from '../../instruments/TableHead';
import { useSay } from '../../shell/reader';
import { usePreferences } from '../../shell/preferences';

const VERDICTS = { ok: 'inside', over: 'OVER', under: 'under' } as const;

/** What settles the argument: every school's dose for the same meat and water. */
export function Schools({ audit }: { audit: RecipeAudit }) {
  const say = useSay();
  const preferences = usePreferences();
  const { applies } = audit.nitrite;
  const has = audit.cureWithMeatG;
  if (audit.schools.length === 0) return null;
  return (
    <section className="panel" aria-label="What the schools would weigh">
      <div className="ph">
        <h2>What the schools would weigh</h2>
        <span className="aside">same meat, same water</span>
      </div>
      <table className="book argument">
        <TableHead columns={['School', { numbers: 'Cure' }, { numbers: 'If left until even' }]} />
        <tbody>
          {audit.schools.map((dose) => (
            <tr key={dose.id}>
              <th scope="row">{say(dose.said)}</th>
              <td className="n">
                {inWords(dose.cureG.value, 'smallMass', preferences)}
                {dose.cureG.high - dose.cureG.low > 0.2 && (
                  <small>
                    {inWords(dose.cureG.low, 'smallMass', preferences)} to {inWords(dose.cureG.high, 'smallMass', preferences)}
                  </small>
                )}
              </td>
              <td className="n">{digits(dose.evenPpm.value, 0)} ppm</td>
            </tr>
          ))}
          <tr className="here">
            <th scope="row">This sheet</th>
            <td className="n">{inWords(has, 'smallMass', preferences)}</td>
            <td className="n">{digits(audit.nitritePpm.find(({ basis }) => basis === 'equilibrium')?.value ?? applies.value, 0)} ppm</td>
          </tr>
        </tbody>
      </table>
    </section>
  );
}

/** Every rule set's word on the figure that applies. */
export function Rules({ ruleSet, audit }: { ruleSet: BenchSheet['ruleSet']; audit: RecipeAudit }) {
  const { applies } = audit.nitrite;
  return (
    <section className="panel" aria-label="What the rules say">
      <div className="ph">
        <h2>What the rules say</h2>
        <span className="aside">to {digits(applies.value, 1)} ppm</span>
      </div>
      <table className="book argument">
        <TableHead columns={['Rules', { numbers: 'Floor' }, { numbers: 'Limit' }, 'This is']} />
        <tbody>
          {audit.rules.map((rule) => (
            <tr key={rule.ruleSet} className={rule.ruleSet === ruleSet ? 'here' : undefined}>
              <th scope="row">{rule.name}</th>
              <td className="n">{digits(rule.floor, 0)}</td>
              <td className="n">{digits(rule.limit, 0)}</td>
              <td className={rule.verdict === 'over' ? 'bad' : undefined}>{VERDICTS[rule.verdict]}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="note pad">Values from memory. Check your own code.</p>
    </section>
  );
}
