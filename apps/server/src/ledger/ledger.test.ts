import { DAY_MS } from '@bunkhouse/core';
import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import { usualRequest, type LedgerResponse, type TrendPoint } from '@bunkhouse/api';
import type { Product } from '@bunkhouse/core';
import { playBatch } from '@bunkhouse/demo';
import Papa from 'papaparse';
import { LogService } from '../log/logService.js';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';

let house: TestHouse;
const http = () => house.http();
const now = Date.now();

async function packed(product: Product, seed: number, by: string): Promise<void> {
  const request = { ...usualRequest(product, { id: randomUUID(), by, startsAt: new Date(now - (40 + seed) * DAY_MS).toISOString() }) };
  const { entries } = playBatch(request, { seed, cooks: [by], idOf: () => randomUUID(), until: now });
  await (by === 'Juno' ? http() : await house.as('cook', `${by}`)).post('/api/batches').send(request);
  await house.app.get(LogService).writeAll(
    request.id,
    entries.map((entry) => ({ request: entry, now: Date.parse(entry.at) })),
  );
}

beforeAll(async () => {
  house = await openTestHouse();
  await packed('canadian-bacon', 1, 'Juno');
  await packed('pastrami', 2, 'Wren');
  await packed('pastrami', 3, '=HYPERLINK("x")');
}, 60_000);
afterAll(() => house.close());

const page = async (query: string) => (await http().get(`/api/ledger?${query}`)).body as LedgerResponse;

describe('the Ledger', () => {
  test('finds by any word, narrows by product, and says what all of it comes to', async () => {
    const all = await page('');
    expect(all.total).toBe(3);
    expect(all.packedG).toBeCloseTo(
      all.rows.reduce((g, row) => g + (row.packedG ?? 0), 0),
      6,
    );
    expect((await page('product=pastrami')).rows.map(({ product }) => product)).toEqual(['pastrami', 'pastrami']);
    expect((await page('find=juno%20canadian')).rows.map(({ by }) => by)).toEqual(['Juno']);
    expect((await page('find=%25')).total).toBe(0);
    expect((await page('from=2100-01-01T00:00:00Z')).total).toBe(0);
    expect((await page('skip=2')).rows).toHaveLength(1);
  });

  test.each(['yieldPercent', 'greenG', 'cureDays', 'code', 'endedAt', 'by'] as const)('sorted by %s it goes up and down', async (sort) => {
    const values = async (order: string) => (await page(`sort=${sort}&order=${order}`)).rows.map((row) => row[sort] ?? 0);
    const up = await values('up');
    expect([...up].sort((a, b) => (typeof a === 'number' ? Number(a) - Number(b) : String(a).toLowerCase() < String(b).toLowerCase() ? -1 : 1))).toEqual(up);
    expect(await values('down')).toEqual([...up].reverse());
  });

  test('what materials cost follows the prices of the lots, is sorted by, and is not known where the meat has none', async () => {
    const { rows } = await page('sort=code&order=up');
    const [first, second] = rows;
    const lot = { kind: 'meat', name: 'Meat', number: '', supplier: '', receivedOn: '2020-01-01', amountG: 20_000, putAway: false, by: 'Wren' };
    const [dear, cheap] = [
      { ...lot, id: randomUUID(), price: 200 },
      { ...lot, id: randomUUID(), price: 100 },
    ];
    for (const own of [dear, cheap]) await http().post('/api/lots').send(own);
    const take = async (row: typeof first, id: string) => {
      const entry = { id: randomUUID(), kind: 'lot', draw: { of: 'meat', lot: id, g: row?.greenG }, at: row?.startedAt, by: 'Wren' };
      const log = house.app.get(LogService);
      await house.database.query(`DELETE FROM ledger_line WHERE batch_id = $1`, [row?.id]);
      // It is packed: what was taken is written down as if on its first day.
      await house.database.query(
        `INSERT INTO log_entry (id, batch_id, seq, kind, body, at, recorded_at) SELECT $1, $2, max(seq) + 1, 'lot', $3 || jsonb_build_object('seq', max(seq) + 1), $4, $4 FROM log_entry WHERE batch_id = $2`,
        [entry.id, row?.id, JSON.stringify({ ...entry, recordedAt: entry.at }), entry.at],
      );
      await log.write(row?.id ?? '', { id: randomUUID(), kind: 'note', reason: 'Written down later', at: new Date(now).toISOString(), by: 'Wren' });
    };
    await take(first, dear.id);
    await take(second, cheap.id);
    const perKg = (row: typeof first, price: number) => ((row?.greenG ?? 0) * (price / 20_000) * 1000) / (row?.packedG ?? 1);
    const costs = async (order: string) => (await page(`sort=costPerKg&order=${order}`)).rows.map(({ costPerKg }) => costPerKg);
    const [a, b] = [perKg(first, 200), perKg(second, 100)].sort((x, y) => x - y);
    const up = await costs('up');
    expect(up[0]).toBeCloseTo(a ?? 0, 6);
    expect(up[1]).toBeCloseTo(b ?? 0, 6);
    expect(up[2]).toBeNull();
    expect((await costs('down'))[0]).toBeCloseTo(b ?? 0, 6);
    await http()
      .post('/api/lots')
      .send({ ...dear, price: undefined });
    expect((await page('')).rows.find(({ id }) => id === first?.id)?.costPerKg).toBeNull();
  });

  test.each(["sort=row'--", 'order=sideways', 'product=sausage', 'skip=-1', 'skip=x', 'from=yesterday', 'deviating=no', 'what=else', `find=${'a'.repeat(81)}`])(
    'asked for %s it says what is wrong',
    async (query) => {
      expect((await http().get(`/api/ledger?${query}`)).status).toBe(400);
    },
  );

  test('a trend has a point for each batch, oldest first', async () => {
    const points = (await http().get('/api/ledger/trends')).body as TrendPoint[];
    expect(points).toHaveLength(3);
    expect(points.map(({ endedAt }) => endedAt)).toEqual(points.map(({ endedAt }) => endedAt).sort());
    expect(points.every(({ saltPercent, thicknessMm }) => saltPercent > 0 && thicknessMm > 0)).toBe(true);
  });

  test('as a file it has every line, and no cell is a formula', async () => {
    const { text, headers } = await http().get('/api/ledger.csv?sort=code&order=up');
    expect(headers['content-type']).toMatch(/^text\/csv/);
    const { data } = Papa.parse<Record<string, string>>(text.trim(), { header: true });
    expect(data).toHaveLength(3);
    expect(data.map(({ by }) => by)).toContain(`'=HYPERLINK("x")`);
    expect(Number(data[0]?.green_g)).toBe((await page('sort=code&order=up')).rows[0]?.greenG);
  });

  test('as a file in pounds, °F and commas its heads say so, and the numbers are the same', async () => {
    const { text } = await http().get('/api/ledger.csv?sort=code&order=up&system=us&temperature=F&decimal=comma');
    const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), { header: true });
    expect(meta.delimiter).toBe(';');
    expect(meta.fields).toEqual(expect.arrayContaining(['green_lb', 'packed_lb', 'thickness_in', 'core_f', 'materials_per_lb']));
    expect(meta.fields?.filter((field) => /_(g|mm|c|kg)$/.test(field))).toEqual([]);
    const [row] = (await page('sort=code&order=up')).rows;
    expect(Number(data[0]?.green_lb?.replace(',', '.')) * 453.59237).toBeCloseTo(row?.greenG ?? 0, -1);
    expect(data.map(({ by }) => by)).toContain(`'=HYPERLINK("x")`);
    expect((await http().get('/api/ledger.csv?system=stone')).status).toBe(400);
  });

  test('lines of an older version are made again when the house is opened', async () => {
    await house.database.query(`UPDATE ledger_line SET row = row - 'borne' - 'cureDays'`);
    const { LedgerService } = await import('./ledgerService.js');
    await house.app.get(LedgerService).onModuleInit();
    expect((await page('')).rows.every(({ cureDays, borne }) => cureDays !== null && Array.isArray(borne))).toBe(true);
  });
});
