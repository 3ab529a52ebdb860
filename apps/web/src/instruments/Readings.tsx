import { sum, type BatchFacts, type BatchFigures } from '@bunkhouse/core';
import { usePreferences } from '../shell/preferences';
import { digits, inWords } from '../shell/quantities';
import { Hero } from './Hero';
import { Working } from './Working';

/** Salt when even, and the weights along the way. */
export function Readings({ figures, facts }: { figures: BatchFigures; facts: BatchFacts }) {
  const preferences = usePreferences();
  const grams = (g: number) => inWords(g, 'mass', preferences);
  const pulled = sum(facts.pulledG);
  const { salt } = figures;
  return (
    <section className="panel weights" aria-label="Salt and weights">
      <Hero label="Salt, when meat and brine are even" value={digits(salt.value, 2)} unit="%" doubt={`± ${digits((salt.high - salt.low) / 2, 2)}`}>
        <p className="note">of meat and water</p>
      </Hero>
      <dl>
        <div>
          <dt>Green</dt>
          <dd>
            {grams(sum(facts.greenG))} <small>{facts.greenWeighed ? 'weighed' : 'as planned'}</small>
          </dd>
        </div>
        <div>
          <dt>Pulled</dt>
          <dd>{pulled > 0 ? `${grams(pulled)}, ${digits((pulled / sum(facts.greenG)) * 100, 1)} %` : <small>– not weighed</small>}</dd>
        </div>
        <div>
          <dt>Packed</dt>
          <dd>
            {facts.packedG === null || figures.yield === null ? <small>– not weighed</small> : `${grams(facts.packedG)}, ${digits(figures.yield.value, 1)} %`}
          </dd>
        </div>
      </dl>
      <Working figures={figures.yield === null ? [salt] : [salt, figures.yield]} />
    </section>
  );
}
