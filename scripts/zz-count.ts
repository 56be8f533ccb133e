import { demoIn, scratchFolder } from './built-server.ts';
import { randomUUID as uuid } from 'node:crypto';
const dir = scratchFolder(); demoIn(dir);
process.env.DATA_DIR = dir;
const { dispatch } = await import('../src/server/dispatch.ts');
const { store } = await import('../src/server/store.ts');
const { db } = await store();
const c: any = db.$client;
let on = false;
for (const m of ['execute', 'batch', 'executeMultiple', 'transaction']) { const f = c[m].bind(c); c[m] = (...a: any[]) => { if (on) console.log(m, JSON.stringify(a[0]).slice(0, 260)); const t = performance.now(); const r = f(...a); return r.then((x: any) => { if (on) console.log('   ', (performance.now() - t).toFixed(2), 'ms'); return x; }); }; }
const post = async (url: string, body: unknown, ctx?: string) => { const r = await dispatch(new Request('http://localhost' + url, { method: 'POST', body: JSON.stringify(body), headers: { 'content-type': 'application/json', ...(ctx ? { 'x-context': ctx } : {}) } })); const j: any = await r.json(); if (!r.ok) console.log(j); return j; };
const id = uuid();
await post('/api/jobs', { id, unitId: 'unit-07', corner: 'LF', byId: 'ines' });
let ctx: string | undefined;
for (let n = 0; n < 30; n++) { on = n === 29; const t = performance.now(); ({ context: ctx } = await post(`/api/jobs/${id}/events`, { id: uuid(), type: n % 2 ? 'work-paused' : 'work-started', body: {}, byId: 'ines' }, ctx)); if (on) console.log('total', performance.now() - t); }
on = false;
let t = performance.now(); for (let n = 0; n < 3000; n++) ({ context: ctx } = await post(`/api/jobs/${id}/events`, { id: uuid(), type: n % 2 ? 'work-paused' : 'work-started', body: {}, byId: 'ines' }, ctx)); console.log('mean', (performance.now() - t) / 3000);
