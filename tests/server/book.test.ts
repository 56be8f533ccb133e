import ICAL from 'ical.js';
import { createPublicKey, verify } from 'node:crypto';
import { statSync } from 'node:fs';
import { join } from 'node:path';
import { v4 as uuid } from 'uuid';
import { beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { ask, dataDir, fieldsOf, type Json, loadJobs, loadShop } from './shop-server.ts';

const { store } = await import('../../src/server/store.ts');
const { dispatch } = await import('../../src/server/dispatch.ts');

const book = async (): Promise<Json> => (await ask('GET', '/api/verify')).json;
const held = async (of: string, hash: string): Promise<Json> =>
  (await ask('POST', '/api/verify/held', { of, hash })).json;
const run = async (sql: string, ...args: (string | number)[]) =>
  (await store()).db.$client.execute({ sql, args });
/** Takes rows as they are, does something to them, and puts them back as they were. */
async function tampered(sql: string, back: () => Promise<unknown>): Promise<Json> {
  await run(sql);
  const seen = await book();
  await back();
  return seen;
}
const rowsOf = async (where: string) => (await run(`SELECT * FROM events WHERE ${where}`)).rows;
const putBack = async (rows: Awaited<ReturnType<typeof rowsOf>>) => {
  for (const r of rows)
    await run(
      'INSERT INTO events (seq, id, job_id, type, body, by_id, at_ms, prev_hash, hash) VALUES (?,?,?,?,?,?,?,?,?)',
      ...(['seq', 'id', 'job_id', 'type', 'body', 'by_id', 'at_ms', 'prev_hash', 'hash'].map(
        (k) => r[k],
      ) as (string | number)[]),
    );
};

beforeAll(async () => {
  await loadShop();
  await loadJobs();
}, 60_000);

describe('the whole record', () => {
  let last: number;
  beforeEach(async () => {
    last = Number((await run('SELECT max(seq) AS n FROM events')).rows[0]!['n']);
  });
  it('fits as it is, and its heads are signed with a key beside the database', async () => {
    const b = await book();
    expect(b).toMatchObject({ faults: [], provenTo: null, unproven: b.entries });
    const [day] = b.days;
    const text = Buffer.from(`true-spindle day ${day.day} ${day.head}`);
    const key = createPublicKey(b.publicKey);
    expect(verify(null, text, key, Buffer.from(day.signature, 'base64'))).toBe(true);
    expect(verify(null, Buffer.from(`${text}0`), key, Buffer.from(day.signature, 'base64'))).toBe(
      false,
    );
    expect(statSync(join(dataDir, 'shop-key.pem')).mode & 0o077).toBe(0);
  });
  it('shows an altered row, one taken from the middle, and one cut off at the end', async () => {
    const [row] = await rowsOf(`seq = ${last - 3}`);
    const altered = await tampered(
      `UPDATE events SET body = '{"stepId":"x","phase":"strip"}' WHERE seq = ${last - 3}`,
      () => run(`UPDATE events SET body = ? WHERE seq = ${last - 3}`, String(row!['body'])),
    );
    expect(altered.faults).toMatchObject([{ what: 'altered', seq: last - 3 }]);

    const middle = await rowsOf(`seq = ${last - 3}`);
    const removed = await tampered(`DELETE FROM events WHERE seq = ${last - 3}`, () =>
      putBack(middle),
    );
    expect(removed.faults.map((f: Json) => f.what).sort()).toEqual(['altered', 'missing']);

    const end = await rowsOf(`seq > ${last - 2}`);
    const cut = await tampered(`DELETE FROM events WHERE seq > ${last - 2}`, () => putBack(end));
    expect(cut.faults).toMatchObject([{ what: 'cut-off', seq: last - 2, count: 2 }]);
    expect((await book()).faults).toEqual([]);
  });
  it('shows a card that was kept and is not what was signed', async () => {
    const [card] = (await run('SELECT * FROM cards LIMIT 1')).rows;
    const b = await tampered(
      `UPDATE cards SET data = replace(data, '"verified"', '"Verified"') || ' ' WHERE job_id = '${String(card!['job_id'])}'`,
      () =>
        run(
          'UPDATE cards SET data = ? WHERE job_id = ?',
          String(card!['data']),
          String(card!['job_id']),
        ),
    );
    expect(b.faults).toMatchObject([{ what: 'kept', jobId: card!['job_id'] }]);
  });
  it('that was written anew as a whole shows by a head that left, and only then', async () => {
    const [day] = (await book()).days;
    const sent = { id: uuid(), day: day.day, head: day.head, how: 'printed', byId: 'ines' };
    expect(
      fieldsOf((await ask('POST', '/api/verify/sent', { ...sent, head: '0'.repeat(64) })).json),
    ).toEqual(['head']);
    const after = (await ask('POST', '/api/verify/sent', sent)).json;
    expect(after).toMatchObject({ provenTo: day.day, unproven: 0 });
    expect(after.days[0].sent).toMatchObject({ how: 'printed', who: 'Ines' });
    // The day goes on: what left stays proven, what came after it is not.
    const job = uuid();
    await ask('POST', '/api/jobs', { id: job, unitId: 'unit-07', corner: 'LF', byId: 'rafe' });
    await ask('POST', `/api/jobs/${job}/events`, {
      id: uuid(),
      type: 'note-left',
      body: { text: 'x' },
      byId: 'rafe',
    });
    const on = await book();
    expect(on).toMatchObject({ faults: [], provenTo: day.day, unproven: 1 });
    expect(on.days[0]!.entries - on.days[0]!.proven).toBe(1);
    // A sheet that was printed in the middle of the day still fits at its end.
    expect((await book()).days[0].head).not.toBe(day.head);
    expect(await held(day.day, day.head)).toEqual({ found: 'day', fits: true });
    expect(await held(day.day, 'f'.repeat(64))).toEqual({ found: 'day', fits: false });
    // A last entry whose seal was made anew fits by itself: only what left the machine tells.
    const [end] = await rowsOf(`seq = ${last}`);
    const { eventHash } = await import('../../src/server/chain.ts');
    const [jobId, prev] = [String(end!['job_id']), String(end!['prev_hash'])];
    const body = { ...JSON.parse(String(end!['body'])), found: 'never seen' };
    const hash = eventHash(prev, {
      id: String(end!['id']),
      jobId,
      type: end!['type'] as never,
      body: body as never,
      byId: String(end!['by_id']),
      atMs: Number(end!['at_ms']),
    });
    await run(
      `UPDATE events SET body = ?, hash = ? WHERE seq = ${last}`,
      JSON.stringify(body),
      hash,
    );
    const rewritten = await book();
    await run(
      `UPDATE events SET body = ?, hash = ? WHERE seq = ${last}`,
      String(end!['body']),
      String(end!['hash']),
    );
    expect(rewritten.faults).toEqual([{ what: 'rewritten', where: day.day }]);
    expect((await book()).faults).toEqual([]);
  });
  it('is held against a paper: the seal of a card, the head of a day', async () => {
    const { rows } = (await ask('GET', '/api/floor')).json;
    const signed = rows.find((r: Json) => r.fleetNo === '26');
    const card = (await ask('GET', `/api/jobs/${signed.id}/card.json`)).json;
    const { hash, entries } = card.seal;
    expect(await held(card.number, hash)).toEqual({
      found: 'job',
      fits: true,
      upTo: entries,
      since: 0,
    });
    expect(
      await held(
        card.number,
        hash
          .slice(0, 16)
          .toUpperCase()
          .replace(/(.{4})/gu, '$1 '),
      ),
    ).toMatchObject({ fits: true });
    expect(await held(card.number, `${hash.slice(0, 15)}${hash[15] === '0' ? '1' : '0'}`)).toEqual({
      found: 'job',
      fits: false,
    });
    const [day] = (await book()).days;
    expect(await held(day.day, day.head)).toEqual({ found: 'day', fits: true });
    expect(await held('1999-0001', hash)).toEqual({ found: 'nothing', fits: false });
    expect(fieldsOf(await held(card.number, 'ab'))).toEqual(['hash']);
  });
});

it('gives the rechecks as a calendar that a calendar program reads', async () => {
  const r = await dispatch(new Request('http://127.0.0.1/api/reminders.ics'));
  expect(r.headers.get('content-type')).toContain('text/calendar');
  // Read by ical.js, a general-purpose library of RFC 5545.
  const calendar = new ICAL.Component(ICAL.parse(await r.text()) as never);
  const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
  expect(events.length).toBeGreaterThan(0);
  const event = events.find((e) => e.summary.startsWith('Recheck'));
  const service = events.find((e) => e.summary === 'Service unit 30, left front');
  expect(service!.description).toMatch(/end play by the dial.*Due by date; last 2025-11-20/u);
  expect(service!.startDate.toString()).toBe('2026-11-20');
  expect(event!.summary).toMatch(/^Recheck unit 26/u);
  expect(event!.description).toMatch(/by its paint mark only.*Wheel nuts by wrench: 120 N·m/u);
  expect(event!.startDate.isDate).toBe(true);
  expect(event!.uid).toMatch(/@true-spindle$/u);
  expect(calendar.getFirstSubcomponent('vevent')!.getFirstSubcomponent('valarm')).not.toBeNull();
});
