import sharp from 'sharp';
import { beforeAll, expect, it } from 'vitest';
import { ask, loadJobs, loadShop, newJob, say } from './shop-server.ts';

const { dispatch } = await import('../../src/server/dispatch.ts');

beforeAll(async () => {
  await loadShop();
  await loadJobs();
}, 60_000);

const send = async (bytes: Uint8Array) => {
  const r = await dispatch(
    new Request('http://127.0.0.1/api/photos', {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream' },
      body: bytes as BodyInit,
    }),
  );
  return { status: r.status, json: await r.json() };
};

/** A wide picture that its camera says is to be turned, with a place in it. */
const fromPhone = () =>
  sharp({ create: { width: 60, height: 20, channels: 3, background: '#884422' } })
    .jpeg()
    .withExif({ IFD0: { Copyright: 'somebody' }, IFD3: { GPSLatitude: '1/1 2/1 3/1' } })
    .withMetadata({ orientation: 6 })
    .toBuffer();

it('a photo is kept upright, without what the camera noted, and a job points to it by its hash', async () => {
  const phone = await fromPhone();
  expect((await sharp(phone).metadata()).exif).toBeDefined();
  const { json } = await send(phone);
  expect(json).toMatchObject({ widthPx: 20, heightPx: 60 });
  expect((await send(phone)).json.hash).toBe(json.hash);
  const kept = await dispatch(new Request(`http://127.0.0.1/api/photos/${json.hash}`));
  expect(kept.headers.get('content-type')).toBe('image/jpeg');
  const meta = await sharp(await kept.arrayBuffer()).metadata();
  expect([meta.exif, meta.orientation, meta.format]).toEqual([undefined, undefined, 'jpeg']);
  const job = await newJob();
  expect((await say(job, 'photo-left', { ...json, of: 'old part' })).status).toBe(200);
  const { photos } = (await ask('GET', `/api/jobs/${job}/card.json`)).json;
  expect(photos).toMatchObject([{ hash: json.hash, of: 'old part' }]);
});

it('what is no photo, empty, or not sent before is refused by its field', async () => {
  for (const bytes of [
    new Uint8Array(),
    new TextEncoder().encode('<svg xmlns="x"/>'),
    new Uint8Array(4000).fill(7),
  ]) {
    const r = await send(bytes);
    expect([r.status, r.json.errors[0].field]).toEqual([422, 'photo']);
  }
  // Cut off in the middle, as a lost connection leaves it.
  const whole = await sharp({
    create: {
      width: 400,
      height: 400,
      channels: 3,
      background: '#fff',
      noise: { type: 'gaussian', mean: 120, sigma: 40 },
    },
  })
    .jpeg()
    .toBuffer();
  expect((await send(whole.subarray(0, whole.length / 3))).status).toBe(422);
  const job = await newJob();
  const gone = { hash: 'a'.repeat(64), widthPx: 1, heightPx: 1, of: 'old part' };
  const r = await say(job, 'photo-left', gone);
  expect([r.status, r.json.errors[0].field]).toEqual([422, 'hash']);
  const large = await dispatch(
    new Request('http://127.0.0.1/api/photos', {
      method: 'POST',
      headers: { 'content-type': 'application/octet-stream', 'content-length': '50000000' },
      body: new Uint8Array(10),
    }),
  );
  expect(large.status).toBe(413);
});
