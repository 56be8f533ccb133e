import { expect, it } from 'vitest';
import { shopContext } from '../../../tests/shop.ts';
import { context, event, job, strippedExample } from '../../../tests/job-example.ts';
import { walked, Worked, workThrough } from '../../../tests/technician.ts';
import { strokesIn } from '../families/index.ts';
import { operationNames, type Operation } from '../press/index.ts';
import { beforeStroke, walkOf } from './index.ts';
import { reasonOf } from './refusal.ts';

const cautions = ['press', 'hammer'].map((cautionId) => event('caution-read', { cautionId }));
const seats = [
  event('seat-judged', { seat: 'bore', decision: 'reuse' }),
  event('seat-judged', { seat: 'journal', decision: 'reuse' }),
];
const encoder = (side: 'inboard' | 'outboard') =>
  event('encoder-checked', { side, method: 'viewing-card' });
const why = (operation: Operation, events: ReturnType<typeof event>[], by?: string) => {
  const no = beforeStroke(operation, job(events, context()), by);
  return no && `${no.rule}: ${reasonOf(no)}`;
};

// Common practice, no published source: the order in which the metal comes apart and goes together.
it.each(walked)(
  '$family of $unit, $route: at every turn a stroke waits for the first that is not made before it',
  (w) => {
    const { entries, worked } = workThrough(w);
    const turns = new Worked(shopContext(w.unit, w.corner));
    const { out = [], in: fitting = [] } = walkOf(worked.now) ?? {};
    for (const cautionId of ['press', 'hammer'])
      turns.put({ type: 'caution-read', body: { cautionId } });
    let asked = 0;
    for (const e of entries) {
      turns.put(e);
      const made = turns.now.state.strokes;
      for (const list of [strokesIn(out), strokesIn(fitting)])
        for (const [i, operation] of list.entries()) {
          const first = list.slice(0, i).find((o) => !made[o]);
          if (!first) continue;
          asked += 1;
          expect(beforeStroke(operation, turns.now)).toMatchObject({
            rule: 'press.order',
            part: operationNames[first],
          });
        }
    }
    // A cartridge has one stroke each way: nothing to wait for.
    expect(asked > 0).toBe([out, fitting].some((l) => strokesIn(l).length > 1));
  },
);

it('waits for the one who works the tool to have read its caution, and for no other', () => {
  const read = (byId: string) => ({ ...cautions[0]!, byId });
  expect(why('hub-out', [], 'rafe')).toMatch(/^press\.caution: /u);
  expect(why('hub-out', [read('ines')], 'rafe')).toMatch(/^press\.caution: /u);
  expect(why('hub-out', [read('rafe')], 'rafe')).toBeUndefined();
  expect(why('hub-out', [read('ines')])).toBeUndefined();
  expect(why('hub-out', [])).toMatch(/^press\.caution: /u);
});

it('changes studs whenever the need arises, and knows no stroke of another family', () => {
  expect([why('stud-out', cautions), why('stud-in', cautions)]).toEqual([undefined, undefined]);
  expect(why('cartridge-in', cautions)).toBe(
    'press.not-here: Draw cartridge into knuckle: this family has no such stroke.',
  );
});

it('fits nothing on a seat that was given up, nor a bearing whose encoder faces away from the sensor', () => {
  const bare = [...cautions, ...strippedExample()];
  expect(why('bearing-in', [...bare, encoder('inboard')])).toBe(
    'press.seat-verdict: The knuckle bore has no verdict yet.',
  );
  const givenUp = event('seat-judged', { seat: 'bore', decision: 'replace' });
  expect(why('bearing-in', [...bare, seats[1]!, givenUp])).toMatchInlineSnapshot(
    `"press.seat-replace: The knuckle bore was judged “replace”. Fit the new part, measure it, judge again."`,
  );
  expect(why('bearing-in', [...bare, ...seats])).toMatch(/^press\.encoder: /u);
  expect(why('bearing-in', [...bare, ...seats, encoder('outboard')])).toMatchInlineSnapshot(
    `"press.encoder-reversed: The encoder would face outboard; the sensor sits inboard. Turn the bearing over: pressed in like this it is lost."`,
  );
  expect(why('bearing-in', [...bare, ...seats, encoder('inboard')])).toBeUndefined();
});
