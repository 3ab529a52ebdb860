import { type Measured, type RecipeLine } from '@bunkhouse/core';
import { usePreferences } from '../shell/preferences';
import { digits, inWords } from '../shell/quantities';

export interface RecipeRow {
  line: RecipeLine;
  grams: Measured;
  cure: boolean;
  /** grams before it was put right */
  insteadOfG?: number;
}

/** What to weigh out, with the doubt of each line. */
export function RecipeTable({ title, rows, aside }: { title: string; rows: RecipeRow[]; aside?: string }) {
  const preferences = usePreferences();
  const total = rows.reduce((sum, row) => sum + row.grams.value, 0);
  return (
    <section className="panel brine-sheet" aria-label={title}>
      <div className="ph">
        <h2>{title}</h2>
        {aside !== undefined && <span className="aside">{aside}</span>}
      </div>
      <table>
        <tbody>
          {rows.map(({ line, grams, cure, insteadOfG }, i) => {
            const quantity = cure || grams.value < 100 ? 'smallMass' : 'mass';
            const half = (grams.high - grams.low) / 2;
            return (
              <tr key={i} className={cure ? 'cure' : undefined}>
                <th scope="row">{line.name ?? line.ingredient}</th>
                <td className="num">{inWords(grams.value, quantity, preferences)}</td>
                <td className="step">
                  {insteadOfG !== undefined
                    ? `not ${inWords(insteadOfG, quantity, preferences)}`
                    : half > 0
                      ? `± ${inWords(half, 'smallMass', preferences, preferences.system === 'us' ? 3 : half < 1 ? 2 : 1)}`
                      : ''}
                </td>
              </tr>
            );
          })}
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">Together</th>
            <td className="num">{inWords(total, 'mass', preferences)}</td>
            <td className="step">{rows.length > 0 ? `${digits(rows.length, 0)} lines` : ''}</td>
          </tr>
        </tfoot>
      </table>
    </section>
  );
}
