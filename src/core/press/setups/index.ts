import { type Operation } from '../operations.ts';
import { type Clearances, type Requirement, usualClearances } from '../requirement.ts';
import type { Work } from '../workpiece.ts';
import { cartridgeIn, cartridgeOut } from './cartridge.ts';
import { ringIn, sealIn, shellIn } from './housing.ts';
import { bearingIn, bearingOut, hubIn, hubOut } from './p1.ts';
import { bearingAndRingOn, pressRingOn, shaftBearingOff, shaftBearingOn } from './shaft.ts';
import { studIn, studOut } from './stud.ts';

export { staticAxialKn } from './common.ts';

/** What one stroke asks of its pieces, from the parts alone; undefined where these parts have no such stroke. */
export function requirement(
  operation: Operation,
  w: Work,
  c: Clearances = usualClearances,
): Requirement | undefined {
  if (operation === 'stud-out') return w.stud && studOut(w.stud, c);
  if (operation === 'stud-in') return w.stud && studIn(w.stud, c);
  switch (w.family) {
    case 'P1':
      switch (operation) {
        case 'hub-out':
          return hubOut(w, c);
        case 'bearing-out':
          return bearingOut(w, c);
        case 'bearing-in':
          return bearingIn(w, c);
        case 'hub-in':
          return hubIn(w, c);
        default:
          return undefined;
      }
    case 'P2':
      if (operation === 'cartridge-out') return cartridgeOut(w, c);
      return operation === 'cartridge-in' ? cartridgeIn(w, c) : undefined;
    case 'A1':
    case 'N1':
      if (operation === 'shell-in') return shellIn(w, c);
      return operation === 'seal-in' ? sealIn(w, c) : undefined;
    case 'A2':
      switch (operation) {
        case 'shaft-bearing-off':
          return shaftBearingOff(w, c);
        case 'shaft-bearing-on':
          return shaftBearingOn(w, c);
        case 'press-ring-on':
          return pressRingOn(w, c);
        case 'bearing-and-ring-on':
          return bearingAndRingOn(w, c);
        default:
          return undefined;
      }
    case 'B2':
      return operation === 'first-ring-in' || operation === 'second-ring-in'
        ? ringIn(w, operation, c)
        : undefined;
    case 'T2':
    case 'A3':
      return operation === 'outer-cup-in' || operation === 'inner-cup-in'
        ? ringIn(w, operation, c)
        : undefined;
  }
}
