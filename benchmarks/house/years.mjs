// So many years of a busy shop, written straight into the tables of a made-up house: 300 batches, 15 000 entries and three and a half million
// readings a year. The batches are the made-up house's finished ones again and again, each with ids and a code of its own.
import { randomUUID } from 'node:crypto';

const BATCHES_A_YEAR = 300;
const ENTRIES_A_BATCH = 50;
const BLOCK_MS = 300_000;
const DAY_MS = 86_400_000;
/** Two refrigerators are read every minute, all year; a thermometer of four channels every ten seconds, 178 days a year. */
const REFRIGERATORS = 2;
const COOK_CHANNELS = 4;
const COOK_DAYS_A_YEAR = 178;
const COOK_HOURS = 10;
const TEMPLATES = 288;

/** @returns how many batches, entries and readings there are then */
export async function writeYears(sql, years) {
  await writeBatches(sql, Math.round(BATCHES_A_YEAR * years));
  await readings(sql, years);
  await sql.query('VACUUM ANALYZE');
  const { rows } = await sql.query(
    `SELECT (SELECT count(*) FROM batch)::int AS batches, (SELECT count(*) FROM log_entry)::int AS entries,
     (SELECT sum(length(samples)) / 4 FROM reading_block)::int AS readings, pg_database_size(current_database())::float8 AS bytes`,
  );
  return rows[0];
}

/** So many batches in the Ledger. */
export async function writeBatches(sql, many) {
  const { rows } = await sql.query(
    `SELECT batch.*, line.row, line.ended_at, (SELECT json_agg(entry ORDER BY seq) FROM log_entry entry WHERE entry.batch_id = batch.id) AS entries
     FROM batch JOIN ledger_line line ON line.batch_id = batch.id`,
  );
  for (let i = 0; i < many - rows.length; i += 1) {
    const one = rows[i % rows.length];
    const id = randomUUID();
    const code = `${one.code.split('-')[0]}-${1000 + i}`;
    const back = Math.round((i / BATCHES_A_YEAR) * 365 + 20) * DAY_MS;
    const endedAt = new Date(one.ended_at.getTime() - back);
    await sql.query('INSERT INTO batch (id, code, design, process, created_by, created_at) VALUES ($1, $2, $3, $4, $5, $6)', [
      id,
      code,
      one.design,
      one.process,
      one.created_by,
      new Date(one.created_at.getTime() - back),
    ]);
    const row = {
      ...one.row,
      id,
      code,
      endedAt: endedAt.toISOString(),
      greenG: one.row.greenG + (i % 97),
      yieldPercent: one.row.yieldPercent + ((i % 21) - 10) / 10,
    };
    await sql.query('INSERT INTO ledger_line (batch_id, ended_at, row) VALUES ($1, $2, $3)', [id, endedAt, row]);
    const own = [...one.entries];
    const last = own.at(-1);
    for (let n = own.length; n < ENTRIES_A_BATCH; n += 1)
      own.push({
        ...last,
        kind: 'note',
        seq: n + 1,
        body: { kind: 'note', by: 'Wren', at: last.at, recordedAt: last.recorded_at, seq: n + 1, reason: `Looked at it, ${n}` },
      });
    const lines = own.map((entry) => ({
      ...entry,
      id: randomUUID(),
      batch_id: id,
      at: new Date(Date.parse(entry.at) - back),
      recorded_at: new Date(Date.parse(entry.recorded_at) - back),
    }));
    await sql.query(
      `INSERT INTO log_entry (id, batch_id, seq, kind, body, at, recorded_at)
       SELECT id, batch_id, seq, kind, jsonb_set(body, '{id}', to_jsonb(id::text)), at, recorded_at FROM json_to_recordset($1::json)
       AS entry(id uuid, batch_id uuid, seq int, kind text, body jsonb, at timestamptz, recorded_at timestamptz)`,
      [JSON.stringify(lines)],
    );
  }
}

/** Five minutes of a channel, read every so many seconds. */
function block(everyS, C, swing) {
  const many = BLOCK_MS / 1000 / everyS;
  const bytes = Buffer.alloc(many * 4);
  for (let i = 0; i < many; i += 1) {
    bytes.writeUInt16LE(i * everyS * 10, i * 4);
    bytes.writeInt16LE(Math.round((C + swing * Math.sin(i / 3) + (((i * 7919) % 13) - 6) / 100) * 100), i * 4 + 2);
  }
  return bytes;
}

async function readings(sql, years) {
  const device = async (name, kind, channels) => {
    const id = randomUUID();
    await sql.query(
      `INSERT INTO device (id, name, kind, channels, simulated, created_by, created_at) VALUES ($1, $2, $3, $4, false, 'Wren', now() - interval '11 years')`,
      [id, name, kind, JSON.stringify(Array.from({ length: channels }, (_, i) => ({ channel: i + 1, name: `Channel ${i + 1}` })))],
    );
    return id;
  };
  const end = Math.floor(Date.now() / BLOCK_MS) * BLOCK_MS - 3 * BLOCK_MS;
  const put = (id, channel, fromMs, blocks, templates) =>
    sql.query(
      `INSERT INTO reading_block (device_id, channel, from_at, samples)
       SELECT $1, $2, to_timestamp($3::float8 / 1000) + n * interval '5 minutes', ($5::bytea[])[1 + (n % ${TEMPLATES})] FROM generate_series(0, $4::int - 1) AS n`,
      [id, channel, fromMs, blocks, templates],
    );
  const cold = Array.from({ length: TEMPLATES }, (_, i) => block(60, 2 + Math.sin(i / 11), 0.4));
  for (let i = 0; i < REFRIGERATORS; i += 1) {
    const id = await device(`Cold room ${i + 1}`, 'refrigerator', 1);
    const blocks = Math.round(years * 365 * (DAY_MS / BLOCK_MS));
    await put(id, 1, end - blocks * BLOCK_MS, blocks, cold);
  }
  const hot = Array.from({ length: TEMPLATES }, (_, i) => block(10, 4 + (i * 66) / TEMPLATES, 0.3));
  const thermometer = await device('Four-channel of years', 'thermometer', COOK_CHANNELS);
  const cooks = Math.round(years * COOK_DAYS_A_YEAR);
  for (let cook = 0; cook < cooks; cook += 1)
    for (let channel = 1; channel <= COOK_CHANNELS; channel += 1)
      await put(
        thermometer,
        channel,
        end - Math.round((cook + 1) * (365 / COOK_DAYS_A_YEAR) * (DAY_MS / BLOCK_MS)) * BLOCK_MS,
        (COOK_HOURS * 3_600_000) / BLOCK_MS,
        hot,
      );
}
