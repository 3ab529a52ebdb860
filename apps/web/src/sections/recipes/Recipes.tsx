import { useState } from 'react';
import { Link } from 'react-router';
import { latest, useRecipes } from '../../data/recipes';
import { useHouse } from '../../data/batches';
import { TableHead } from '../../instruments/TableHead';
import { usePreferences } from '../../shell/preferences';
import { inWords, fewDigits } from '../../shell/quantities';
import { PRODUCT_NAMES, SCHOOL_WORDS } from '../../shell/tradeWords';
import { Only } from '../../shell/Only';

/** Every recipe of the house, as it is now. */
export function Recipes() {
  const { recipes, isKnown, failed } = useRecipes();
  const { data: house } = useHouse();
  const preferences = usePreferences();
  const [sought, setSought] = useState('');
  const shown = recipes.filter((recipe) => {
    const { recipe: said } = latest(recipe);
    return `${said.name} ${PRODUCT_NAMES[said.product]} ${said.note}`.toLowerCase().includes(sought.trim().toLowerCase());
  });
  return (
    <div className="page recipes">
      <div className="page-head">
        <div>
          <h1 className="title">Recipes</h1>
          <p className="note">
            {house?.name ?? 'The house'}: {recipes.filter(({ putAway }) => !putAway).length} in use. A batch keeps the version that it was made by.
          </p>
        </div>
        <label className="field seek">
          <span className="label">Find</span>
          <input className="box" type="search" value={sought} placeholder="name, product" onChange={(event) => setSought(event.target.value)} />
        </label>
        <Only right="plan">
          <Link className="btn go" to="/recipes/new">
            Write a recipe
          </Link>
        </Only>
      </div>
      {failed && <p className="fault">The recipes cannot be read just now.</p>}
      {shown.length === 0 ? (
        <p className="lead">{isKnown ? 'No recipe says that.' : failed ? '' : 'Looking for the recipes of the house...'}</p>
      ) : (
        <div className="panel table-scroll" tabIndex={0} role="region" aria-label="Recipes">
          <table className="book">
            <TableHead
              columns={[
                'Recipe',
                'Makes',
                'School',
                { numbers: 'Salt' },
                { numbers: 'Nitrite' },
                { numbers: 'Days' },
                { numbers: 'Core' },
                { numbers: 'Version' },
                'By',
              ]}
            />
            <tbody>
              {shown.map((recipe) => {
                const { recipe: said, version, by } = latest(recipe);
                return (
                  <tr key={recipe.id} className={recipe.putAway ? 'put-away' : undefined}>
                    <th scope="row">
                      <Link className="lnk" to={`/recipes/${recipe.id}`}>
                        {said.name}
                      </Link>
                      {recipe.putAway && <small> put away</small>}
                    </th>
                    <td>{PRODUCT_NAMES[said.product]}</td>
                    <td>{SCHOOL_WORDS[said.school][0]}</td>
                    <td className="n">{fewDigits(said.saltPercent)} %</td>
                    <td className="n">{said.nitritePpm === 0 ? 'none' : `${said.nitritePpm} ppm`}</td>
                    <td className="n">{said.cureDays[said.school].usual}</td>
                    <td className="n">{inWords(said.coreTargetC, 'temperature', preferences, 0)}</td>
                    <td className="n">{version}</td>
                    <td>{by}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
    </div>
  );
}
