import { HOUR_MS } from '@bunkhouse/core';
import 'reflect-metadata';
import { randomUUID } from 'node:crypto';
import { usualRequest, type BatchResponse, type PictureResponse } from '@bunkhouse/api';
import fc from 'fast-check';
import { Jimp } from 'jimp';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';

let house: TestHouse;
let batch: BatchResponse;
const http = () => house.http();
const at = new Date(Date.now() - 60_000).toISOString();

const PINK = 0xcd7876ff;
const GREY = 0x968476ff;
/** A cut face on a white board: pink with a grey core of half its width and height. */
function face(width: number, height: number): InstanceType<typeof Jimp> {
  const picture = new Jimp({ width, height, color: 0xffffffff });
  picture.scan((x, y, i) => {
    const from = Math.hypot(((x + 0.5) / width - 0.5) / 0.4, ((y + 0.5) / height - 0.5) / 0.4);
    if (from < 1) picture.bitmap.data.writeUInt32BE(from < 0.5 ? GREY : PINK, i);
  });
  return picture;
}
const MARKS = { meat: { x: 0.5, y: 0.5, rx: 0.4, ry: 0.4 }, pink: { x: 0.15, y: 0.5 }, grey: { x: 0.5, y: 0.5 } };

beforeAll(async () => {
  house = await openTestHouse();
  batch = (
    await http()
      .post('/api/batches')
      .send(usualRequest('pastrami', { id: randomUUID(), by: 'Wren', startsAt: at }))
  ).body as BatchResponse;
}, 60_000);
afterAll(() => house.close());

const send = (bytes: Buffer | string, over: object = {}, type = 'image/jpeg', to = batch.id) =>
  http()
    .post(`/api/batches/${to}/pictures`)
    .query({ id: randomUUID(), piece: 'A', at, by: 'Wren', ...over })
    .set('content-type', type)
    .send(bytes);
const message = ({ body }: { body: unknown }) => (body as { message: string }).message;

/** A JPEG with the mark of a phone that was held upright: its rows lie on their side. */
function onItsSide(jpeg: Buffer): Buffer {
  const tiff = Buffer.from('4d4d002a00000008000101120003000000010006000000000000', 'hex');
  const body = Buffer.concat([Buffer.from('457869660000', 'hex'), tiff]);
  const head = Buffer.from([0xff, 0xe1, 0, 0]);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([jpeg.subarray(0, 2), head, body, jpeg.subarray(2)]);
}

describe('a picture of a cut face', () => {
  test('is turned upright, made small, kept once, and is a JPEG with nothing of the phone in it', async () => {
    const jpeg = onItsSide(await face(1700, 1020).getBuffer('image/jpeg', { quality: 80 }));
    const id = randomUUID();
    const answer = await send(jpeg, { id });
    expect(answer.status).toBe(200);
    const [kept] = answer.body as PictureResponse[];
    expect(kept).toMatchObject({ id, piece: 'A', width: 960, height: 1600, reading: null });
    expect((await send(jpeg, { id })).body as PictureResponse[]).toHaveLength(1);
    const own = await http().get(`/api/pictures/${id}`).buffer(true);
    expect(own.headers['content-type']).toBe('image/jpeg');
    const bytes = own.body as Buffer;
    expect(bytes.subarray(0, 3).toString('hex')).toBe('ffd8ff');
    expect(bytes.includes('Exif')).toBe(false);
    await expect(house.database.query('DELETE FROM picture')).rejects.toThrow(/append-only/);
  }, 60_000);

  test('a PNG is taken, and its grey core is a quarter of the face between two marks; the last reading counts', async () => {
    const id = randomUUID();
    expect((await send(await face(400, 300).getBuffer('image/png'), { id }, 'image/png')).status).toBe(200);
    const read = (marks: object) =>
      http()
        .post(`/api/pictures/${id}/readings`)
        .send({ id: randomUUID(), by: 'Juno', ...marks });
    expect(message(await read({ ...MARKS, grey: MARKS.pink }))).toMatch(/one colour/);
    expect((await read({ ...MARKS, pink: { x: 2, y: 0 } })).status).toBe(400);
    expect((await read({ meat: MARKS.meat })).status).toBe(400);
    const answer = await read(MARKS);
    const { reading } = (answer.body as PictureResponse[]).find((own) => own.id === id) ?? { reading: null };
    expect(Math.abs((reading?.shares.greyPercent ?? 0) - 25)).toBeLessThan(1.5);
    expect(reading).toMatchObject({ by: 'Juno', marks: MARKS });
  }, 60_000);
});

/** The head of a PNG that says how large it is; nothing of it need be there. */
function pngOf(width: number, height: number): Buffer {
  const head = Buffer.from('89504e470d0a1a0a0000000d4948445200000000000000000806000000', 'hex');
  head.writeUInt32BE(width, 16);
  head.writeUInt32BE(height, 20);
  return Buffer.concat([head, Buffer.alloc(64)]);
}

describe('what is no picture', () => {
  test.each<[string, () => Buffer | string, RegExp]>([
    ['nothing', () => Buffer.alloc(0), /missing/],
    ['text', () => Buffer.from('hello, hello, hello, hello, hello'), /no picture/],
    [
      'a drawing that can hold a script',
      () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="90" height="90"><script>alert(1)</script></svg>'),
      /no picture/,
    ],
    ['a small file that unfolds to gigabytes', () => pngOf(60_000, 60_000), /3600 million points/],
    ['a long thin one', () => pngOf(20_000, 64), /points/],
    ['a dot', () => pngOf(1, 1), /too small/],
    ['a torn one', () => pngOf(400, 300), /cannot be opened/],
  ])('%s is refused', async (_what, make, said) => {
    const answer = await send(make());
    expect([answer.status, message(answer)]).toEqual([400, expect.stringMatching(said)]);
  });

  test('more than 12 MB, another piece, nobody’s batch, a time to come', async () => {
    const large = await send(Buffer.alloc(13 * 1024 * 1024));
    expect([large.status, message(large)]).toEqual([413, expect.stringMatching(/12 MB/)]);
    const good = await face(64, 64).getBuffer('image/png');
    expect(message(await send(good, { piece: 'Q' }))).toMatch(/no such piece/);
    expect((await send(good, {}, 'image/png', randomUUID())).status).toBe(404);
    expect((await send(good, { at: new Date(Date.now() + HOUR_MS).toISOString() })).status).toBe(400);
    expect((await send(good, { id: '../../etc/passwd' })).status).toBe(400);
    expect((await http().get(`/api/pictures/${randomUUID()}`)).status).toBe(404);
    expect((await http().get('/api/pictures/x')).status).toBe(400);
  });

  test('a JPEG with bytes changed at random is kept or refused in a sentence, never broken on', async () => {
    const jpeg = await face(120, 90).getBuffer('image/jpeg', { quality: 70 });
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.nat(jpeg.length - 1), fc.nat(255)), { minLength: 1, maxLength: 12 }),
        fc.nat(jpeg.length),
        async (changes, length) => {
          const bytes = Buffer.from(jpeg.subarray(0, Math.max(20, length)));
          for (const [i, value] of changes) if (i < bytes.length) bytes[i] = value;
          expect([200, 400]).toContain((await send(bytes)).status);
        },
      ),
      { numRuns: 8 },
    );
  }, 120_000);
});
