import { bearingOrders, tyre, wheelHz } from '../noise/index.ts';
import type { Calculator } from './calculator.ts';
import { figure, main, text } from './results.ts';

/** What turns with the wheel. */

export const tyreOrders: Calculator = {
  id: 'tyre',
  name: 'Tyre and wheel',
  fields: [
    { id: 'tyre', label: 'Tyre, as 195/65R15', kind: 'word' },
    { id: 'speed', label: 'Speed', kind: 'speed' },
  ],
  work: (a) => {
    const t = tyre(a.word('tyre'));
    const hz = wheelHz(a.number('speed'), t.circumferenceMm);
    return [
      main(text('the wheel turns', `${hz.toFixed(2)} times a second`)),
      figure('rolls a turn', t.circumferenceMm, 'length', 0),
      figure('diameter', t.diameterMm, 'length', 0),
      text('turns a minute', (60 * hz).toFixed(0)),
    ];
  },
  source: 'size on the tyre; rolling 0.97 of nominal, common practice',
};

export const orders: Calculator = {
  id: 'orders',
  name: 'Bearing orders',
  fields: [
    { id: 'balls', label: 'Balls in a row', kind: 'count' },
    { id: 'ballMm', label: 'Ball', kind: 'length' },
    { id: 'pitchMm', label: 'Pitch circle', kind: 'length' },
    { id: 'angleDeg', label: 'Contact angle', kind: 'angle' },
    { id: 'turns', label: 'Ring that turns', kind: ['inner', 'outer'] },
    { id: 'wheel', label: 'Turns of the wheel a second', kind: 'ratio', optional: true },
  ],
  work: (a) => {
    const o = bearingOrders({
      balls: a.number('balls'),
      ballMm: a.number('ballMm'),
      pitchMm: a.number('pitchMm'),
      angleDeg: a.number('angleDeg'),
      rotating: a.word('turns') === 'inner' ? 'inner' : 'outer',
    });
    const hz = (order: number) =>
      a.has('wheel') ? `, ${(order * a.number('wheel')).toFixed(1)} Hz` : '';
    const line = (what: string, order: number) => text(what, `${order.toFixed(3)}${hz(order)}`);
    return [
      main(line('outer ring', o.bpfo)),
      line('inner ring', o.bpfi),
      line('ball', o.bsf),
      line('cage', o.ftf),
    ];
  },
  source: 'kinematics of a bearing that rolls without slip',
};
