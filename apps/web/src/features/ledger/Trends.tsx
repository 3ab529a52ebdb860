import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import type { TrendPoint } from '@bunkhouse/api';
import { VERDICTS, type Product } from '@bunkhouse/core';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Title } from '../../kit/Title';
import { useTrends } from '../../data/batches';
import { ScatterChart, type ScatterPoint } from '../../charts/ScatterChart';
import { Choice } from '../../kit/Choice';
import { usePreferences } from '../../reader/preferences';
import { digits, toShown, scaleOf } from '../../reader/quantities';
import { dayWithYear } from '../../reader/times';
import { PRODUCT_NAMES, VERDICT_WORDS } from '../../reader/words/tradeWords';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';

const styles = {
  trends: { display: 'grid', gap: '10px' },
} as const;

/** How the seasons went: yield, salt and its verdict, days against thickness. */
export function Trends() {
  const [asked] = useSearchParams();
  const { data, error } = useTrends(asked.toString());
  const products = useMemo(() => [...new Set((data ?? []).map(({ product }) => product))].sort(), [data]);
  const [product, setProduct] = useState<Product | 'all'>('all');
  const preferences = usePreferences();
  const points = (data ?? []).filter((point) => product === 'all' || point.product === product);
  const length = scaleOf('length', preferences);
  const mark = (point: TrendPoint, x: number, y: number, says: string): ScatterPoint => ({
    id: point.id,
    x,
    y,
    kind: point.product,
    says: `${point.code}, ${dayWithYear(point.endedAt)}: ${says}`,
  });
  return (
    <Box sx={[looks.page, styles.trends]}>
      <Box sx={looks.pageHead}>
        <div>
          <Title>Trends</Title>
          <Typography variant="note">
            {data === undefined
              ? 'Opening the book'
              : `${points.length} packed batches${asked.size > 0 ? ' of what was asked for' : ''}. Each mark is a batch: tap it.`}{' '}
            <Button variant="text" component={Link} to={`/ledger?${asked.toString()}`}>
              To the Ledger
            </Button>
          </Typography>
        </div>
        <Choice
          label="Product"
          quiet
          value={product}
          options={{ all: 'All', ...Object.fromEntries(products.map((one) => [one, PRODUCT_NAMES[one]])) } as Record<Product | 'all', string>}
          onChange={setProduct}
        />
      </Box>
      {error !== undefined && data === undefined && <Typography variant="fault">The book cannot be opened just now.</Typography>}
      {points.length > 0 && (
        <>
          <ScatterChart
            title="Yield over the seasons"
            aside="packed, % of green; each line is the mean of three of a product"
            x={{ kind: 'time' }}
            y={{ kind: 'number', label: '% of green' }}
            mean={3}
            points={points.flatMap((p) => (p.yieldPercent === null ? [] : [mark(p, Date.parse(p.endedAt), p.yieldPercent, `${digits(p.yieldPercent, 1)} %`)]))}
          />
          <ScatterChart
            title="Salt, and what was said of it"
            aside="salt when even, by weight, against the last fried slice"
            x={{ kind: 'number', label: '% salt' }}
            y={{ kind: 'words', words: VERDICTS.map((verdict) => [verdict, VERDICT_WORDS[verdict]]) }}
            points={points.flatMap((p) => {
              const at = VERDICTS.findIndex((verdict) => verdict === p.taste);
              return at < 0 ? [] : [mark(p, p.saltPercent, at, `${digits(p.saltPercent, 2)} %, ${p.taste ?? ''}`)];
            })}
          />
          <ScatterChart
            title="Days against thickness"
            aside="in the brine, to the pull"
            x={{ kind: 'number', label: length.sign }}
            y={{ kind: 'number', label: 'days' }}
            points={points.flatMap((p) =>
              p.cureDays === null ? [] : [mark(p, toShown(p.thicknessMm, 'length', preferences), p.cureDays, `${digits(p.cureDays, 1)} days`)],
            )}
          />
        </>
      )}
      {data?.length === 0 && (
        <Box component="p" sx={looks.lead}>
          Nothing in the book matches.
        </Box>
      )}
    </Box>
  );
}
