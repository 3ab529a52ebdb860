import type { RecipeResponse } from '@bunkhouse/api';
import { useState } from 'react';
import { TableHead } from '../../instruments/TableHead';
import { usePreferences } from '../../shell/preferences';
import { dayWithYear } from '../../shell/times';
import { differences } from './recipeLines';

/** Every version of a recipe, and what differs between two of them. */
export function Versions({ recipe, shown, onShow }: { recipe: RecipeResponse; shown: number; onShow: (version: number) => void }) {
  const { versions } = recipe;
  const preferences = usePreferences();
  const [other, setOther] = useState<number | null>(null);
  const [now, before] = [versions.find(({ version }) => version === shown), versions.find(({ version }) => version === (other ?? shown - 1))];
  const differing = now === undefined || before === undefined || before === now ? null : differences(before.recipe, now.recipe, preferences);
  return (
    <section className="panel" aria-label="Versions">
      <div className="ph">
        <h2>Versions</h2>
        <span className="aside">{versions.length}</span>
      </div>
      <ol className="versions">
        {versions.map(({ version, by, at, reason }) => (
          <li key={version}>
            <button type="button" className="lnk" aria-pressed={version === shown} onClick={() => onShow(version)}>
              Version {version}
            </button>
            <span>
              {by}
              {at === '' ? '' : `, ${dayWithYear(at)}`}
              {reason === '' ? '' : `: ${reason}`}
            </span>
          </li>
        ))}
      </ol>
      {versions.length > 1 && (
        <div className="pad">
          <label className="field">
            <span className="label">Version {shown} against</span>
            <select className="box" value={before?.version ?? ''} onChange={(event) => setOther(Number(event.target.value))}>
              {before === undefined && <option value="">choose one</option>}
              {versions
                .filter(({ version }) => version !== shown)
                .map(({ version }) => (
                  <option key={version} value={version}>
                    Version {version}
                  </option>
                ))}
            </select>
          </label>
          {differing !== null &&
            (differing.length === 0 ? (
              <p className="note">They say the same.</p>
            ) : (
              <div className="table-scroll" tabIndex={0} role="region" aria-label="What differs">
                <table className="book differ">
                  <TableHead columns={['What differs', `Version ${before?.version ?? ''}`, `Version ${shown}`]} />
                  <tbody>
                    {differing.map(({ key, name, before: was, after: is }) => (
                      <tr key={key}>
                        <th scope="row">{name}</th>
                        <td>{was ?? 'not there'}</td>
                        <td>{is ?? 'left out'}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
            ))}
        </div>
      )}
    </section>
  );
}
