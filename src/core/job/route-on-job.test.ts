import { describe, expect, it } from 'vitest';
import { context, job } from '../../../tests/job-example.ts';
import { shopContext } from '../../../tests/shop.ts';
import { choiceInWords, filmOf, type JobContext, usualRoute } from './index.ts';

const walkedBy = (ctx: JobContext) => job([], ctx);
const hatch = shopContext('unit-07', 'LF');

describe('the route to begin with', () => {
  it('is the one whose stacks stand best, and says so', () => {
    expect(usualRoute(walkedBy(hatch))).toMatchObject({
      id: 'bench',
      reason: expect.stringContaining('stands better'),
    });
  });
  it('is never one for which this shop has no tool', () => {
    const presses = hatch.presses.filter((p) => (p.kind ?? 'press') === 'press');
    const { id, reason } = usualRoute(walkedBy({ ...hatch, presses }));
    expect(id).toBe('bench');
    expect(reason).toContain('cannot set up every stroke of “On the car”');
  });
  it('is the shorter one, alignment counted, where both can be set up alike', () => {
    const cartridge = shopContext('unit-15', 'RF');
    const { id, reason } = usualRoute(walkedBy(cartridge));
    expect(id).toBe('on-car');
    expect(reason).toMatch(/\d+ min less than “Bench press”, alignment counted/u);
  });
  it('takes a cartridge with paste and all else with thin oil until a film is chosen', () => {
    expect(filmOf(walkedBy(shopContext('unit-15', 'RF')))).toBe('paste');
    expect(filmOf(walkedBy(hatch))).toBe('oiled');
    const plan = { version: 1, value: { route: 'bench', chill: false, soak: false, film: 'dry' } };
    expect(filmOf({ ...walkedBy(hatch), choices: { plan: plan as never } })).toBe('dry');
  });
});

describe('a choice in words', () => {
  const said = (value: unknown, ctx = context()) =>
    Object.fromEntries(choiceInWords(value, job([], ctx)).map((x) => [x.what, x.value]));
  it('names each field and what its value stands for', () => {
    expect(said({ route: 'bench', soak: true, chill: false, film: 'paste' })).toEqual({
      Route: 'Bench press',
      'Penetrant soak': 'yes',
      'Bearing chilled': 'no',
      'Film on the seat': 'paste',
    });
    expect(said({ pusherId: 'ring', supportId: 'support', pressId: 'p' })).toEqual({
      Pusher: 'ring',
      Support: 'support',
      Tool: 'Press',
    });
    expect(said({ partNumber: 'A1' })['Part']).toMatch(/^A1, 40 × 76 × 37$/u);
  });
  it('says where nothing was chosen', () => {
    expect(said(null)).toEqual({ Chosen: 'nothing' });
    expect(said({ without: [] })).toEqual({ 'Not at hand': 'nothing' });
  });
});
