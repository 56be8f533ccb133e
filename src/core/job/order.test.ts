import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shopContext } from '../../../tests/shop.ts';
import { type Entry, nextEntries, walked, Worked, workThrough } from '../../../tests/technician.ts';
import type { EventBody, EventType } from '../schemas/events.ts';

/**
 * Random hands on a pressed-in bearing: mostly the next right thing, between it things that go wrong or out of order. A
 * little model beside it, that knows nothing of the interlocks, reads only what was accepted.
 */
const p1 = walked[0]!;
const context = shopContext(p1.unit, p1.corner);
const other = context.parts.find((p) => p.kind === 'ring-set' && p.number !== 'N4076-48')!.number;
const good = workThrough(p1).entries;
const say = <T extends EventType>(type: T, body: EventBody<T>): Entry => ({ type, body }) as Entry;
const strokeOf = (operation: string) =>
  good.find(
    (e): e is Extract<Entry, { type: 'stroke-recorded' }> =>
      'type' in e && e.type === 'stroke-recorded' && e.body.operation === operation,
  )!.body;
const damage = { nickShare: 0, nickDepthMm: 0, sealTrack: false };
const plane = [76.02, 76.02];

const wild: readonly Entry[] = [
  { choice: 'match', value: { partNumber: other } },
  { choice: 'match', value: { partNumber: 'N4076-48' } },
  say('part-confirmed', { partNumber: other }),
  say('encoder-checked', { side: 'outboard', method: 'viewing-card' }),
  say('encoder-checked', { side: 'inboard', method: 'viewing-card' }),
  say('damage-read', { seat: 'bore', ...damage, grooved: true }),
  say('damage-read', { seat: 'bore', ...damage, grooved: false }),
  say('seat-read', { seat: 'bore', readingsMm: [plane, plane, plane], instrumentId: 'mic' }),
  say('seat-judged', { seat: 'bore', decision: 'replace' }),
  say('stroke-recorded', { ...strokeOf('bearing-in'), depthMm: 30 }),
  say('stroke-recorded', { ...strokeOf('bearing-in'), peakKn: 400 }),
  say('stroke-recorded', strokeOf('hub-out')),
  say('stroke-recorded', strokeOf('bearing-out')),
  say('fact-seen', { factId: 'no-gap', absent: true }),
  say('diagnosis-accepted', { suspectId: 'bearing-RF', probability: 0.9 }),
  say('stage-recorded', { stageId: 'base', toolId: 'click-200', actual: 199, typed: '199' }),
  say('item-marked', { itemId: 'bearing', state: 'on-order' }),
  say('station-reopened', { station: 'press-in', reason: 'once more' }),
  say('check-recorded', { checkId: 'hose', ok: false }),
  say('signed', { odometerKm: 70_000 }),
];

type Step =
  { do: 'next'; times: number } | { do: 'wild'; entry: Entry } | { do: 'old'; at: number };
const steps = fc.array(
  fc.oneof(
    {
      weight: 6,
      arbitrary: fc.record({
        do: fc.constant('next' as const),
        times: fc.integer({ min: 1, max: 12 }),
      }),
    },
    {
      weight: 4,
      arbitrary: fc.record({ do: fc.constant('wild' as const), entry: fc.constantFrom(...wild) }),
    },
    {
      weight: 2,
      arbitrary: fc.record({ do: fc.constant('old' as const), at: fc.nat(good.length - 1) }),
    },
  ),
  { minLength: 5, maxLength: 40 },
);

/** What was accepted, in order; the model asks only when a thing was last so. */
class Model {
  private readonly log: Entry[] = [];
  private last<T extends EventType>(type: T, like: Partial<EventBody<T>> = {}): number {
    return this.log.findLastIndex(
      (e) =>
        'type' in e &&
        e.type === type &&
        Object.entries(like).every(([k, v]) => (e.body as Record<string, unknown>)[k] === v),
    );
  }
  private bodyAt<T extends EventType>(i: number): EventBody<T> | undefined {
    const e = this.log[i];
    return e && 'type' in e ? (e.body as EventBody<T>) : undefined;
  }
  private stroke = (operation: EventBody<'stroke-recorded'>['operation']) =>
    this.last('stroke-recorded', { operation });
  private part(before = this.log.length): string {
    const e = this.log.slice(0, before).findLast((x) => 'choice' in x && x.choice === 'match');
    return e && 'choice' in e && e.choice === 'match' ? e.value.partNumber : 'N4076-48';
  }
  /** What is wrong with taking this entry now; the model's own words. */
  wrong(e: Entry): string | undefined {
    if (!('type' in e)) return undefined;
    if (e.type === 'stroke-recorded' && e.body.operation === 'bearing-in') return this.pressing();
    if (e.type === 'stroke-recorded' && e.body.operation === 'hub-in') return this.hubOnIt();
    if (e.type === 'stage-recorded') return this.isIn();
    if (e.type === 'signed') return this.isIn() ?? this.nutIsTight() ?? this.isProved();
    return undefined;
  }
  took(e: Entry): void {
    this.log.push(e);
  }
  private pressing(): string | undefined {
    const number = this.part();
    const out = this.stroke('bearing-out');
    if (this.stroke('hub-out') < 0 || out < 0) return 'old bearing in';
    const held = this.bodyAt<'part-confirmed'>(this.last('part-confirmed'));
    if (held?.partNumber !== number) return 'part not held against the old one';
    const turned = this.last('encoder-checked');
    // Pressed out again, the new one is scrap: the next is turned again.
    const spent = this.stroke('bearing-in') < out && this.stroke('bearing-in') >= 0 ? out : -1;
    if (turned < Math.max(0, spent) || this.part(turned) !== number)
      return 'encoder not looked at on this part';
    if (this.bodyAt<'encoder-checked'>(turned)?.side !== 'inboard') return 'encoder reversed';
    for (const seat of ['bore', 'journal'] as const) {
      const judged = this.last('seat-judged', { seat });
      const seen = Math.max(this.last('seat-read', { seat }), this.last('damage-read', { seat }));
      if (judged < seen || seen < 0) return `${seat} not judged since it was looked at`;
      if (this.bodyAt<'seat-judged'>(judged)?.decision !== 'reuse') return `${seat} given up`;
    }
    return undefined;
  }
  private depthRight(operation: 'bearing-in' | 'hub-in', plan: number): boolean {
    const depth = this.bodyAt<'stroke-recorded'>(this.stroke(operation))?.depthMm ?? 0;
    return Math.abs(depth - plan) <= 0.3 + 1e-9;
  }
  private hubOnIt(): string | undefined {
    const pressed = this.stroke('bearing-in');
    if (pressed < this.stroke('bearing-out')) return 'bearing out again';
    if (!this.depthRight('bearing-in', strokeOf('bearing-in').depthMm!)) return 'bearing short';
    for (const factId of ['groove-clear', 'snap-ring-fitted', 'shield-on'] as const)
      if (this.last('fact-seen', { factId }) < pressed) return `${factId} not since`;
    return undefined;
  }
  private isIn(): string | undefined {
    const hub = this.stroke('hub-in');
    if (hub < Math.max(this.stroke('bearing-in'), this.stroke('hub-out'))) return 'hub not in';
    if (!this.depthRight('hub-in', strokeOf('hub-in').depthMm!)) return 'hub short';
    const seen = this.last('fact-seen', { factId: 'no-gap' });
    if (seen < hub || this.bodyAt<'fact-seen'>(seen)?.absent) return 'gap not looked for';
    return undefined;
  }
  /** The last pass of the procedure, from its first stage on, all in the window. */
  private nutIsTight(): string | undefined {
    const stages = context.procedure!.stages;
    const from = this.last('stage-recorded', { stageId: stages[0]!.id });
    if (from < this.stroke('hub-in')) return 'nut not pulled since the hub';
    for (const s of stages) {
      const at = this.last('stage-recorded', { stageId: s.id });
      const { actual } = this.bodyAt<'stage-recorded'>(at) ?? {};
      if (at < from) return `${s.id} not since the first stage`;
      if (s.kind === 'torque' && !(Math.abs(actual! - s.value!) <= (s.tolerance ?? s.value! / 20)))
        return `${s.id} outside`;
    }
    return undefined;
  }
  private isProved(): string | undefined {
    const nut = this.last('stage-recorded');
    for (const checkId of ['smooth', 'end-play', 'runout', 'hose', 'road', 'alignment']) {
      const at = this.last('check-recorded', { checkId });
      if (at < nut) return `${checkId} not since the nut`;
      if (this.bodyAt<'check-recorded'>(at)?.ok === false) return `${checkId} not right`;
    }
    return undefined;
  }
}

describe('the order of the metal', () => {
  it('never presses on an unproven part and never signs with anything open, whatever the hands do', () => {
    const reached = { pressed: 0, signed: 0, refused: 0 };
    fc.assert(
      fc.property(steps, (list: Step[]) => {
        const job = new Worked(context);
        const model = new Model();
        const put = (e: Entry): boolean => {
          if (job.put(e)) {
            reached.refused += 1;
            return false;
          }
          expect(model.wrong(e), JSON.stringify(e)).toBeUndefined();
          model.took(e);
          if ('type' in e && e.type === 'signed') reached.signed += 1;
          if ('type' in e && e.type === 'stroke-recorded') reached.pressed += 1;
          return true;
        };
        const next = (): Entry[] => {
          try {
            return nextEntries(job.now, p1);
          } catch {
            return [];
          }
        };
        for (const step of [...list, { do: 'next', times: 25 } as Step]) {
          if (step.do === 'wild') put(step.entry);
          else if (step.do === 'old') put(good[step.at]!);
          else for (let n = 0; n < step.times; n++) next().every(put);
        }
      }),
      { numRuns: 100 },
    );
    // The hands get somewhere: a law about signatures that none reached would say nothing.
    expect(reached.signed).toBeGreaterThan(10);
    expect(reached.refused).toBeGreaterThan(100);
  }, 60_000);
});
