import type { Setup, Stack } from '../../core/press/index.ts';
import { type Scene, sceneOf } from './scene.ts';

/** Size of the drawing's sheet, where its axis stands, and room beside the axis, in drawing units. */
export const sheet = { w: 924, h: 584 };
export const axisX = 292;
const room = 222;

/** Room that a left-out stretch keeps, mm. */
const breakMm = 7;
/** Heights with the plain stretch between them drawn together. */
const closedUp =
  (cut: readonly [number, number] | undefined) =>
  (mm: number): number => {
    if (!cut || mm <= cut[0]) return mm;
    const [from, to] = cut;
    if (mm >= to) return mm - (to - from) + breakMm;
    return from + ((mm - from) * breakMm) / (to - from);
  };

/** Where everything stands on the sheet: the scene, units a millimetre, heights to the sheet, and heights without the left-out stretch. */
export function layoutOf(
  stack: Stack,
  setup: Setup,
  travelMm: number,
): { scene: Scene; fit: number; y: (mm: number) => number; near: (mm: number) => number } {
  const scene = sceneOf(stack, setup, travelMm);
  const near = closedUp(setup.requirement.picture.cut);
  const height = near(scene.bottom) - near(scene.top);
  const fit = Math.min(4.2, 572 / height, room / scene.radius);
  const top = 4 + (580 - fit * height) / 2;
  return { scene, fit, near, y: (mm) => top + (near(mm) - near(scene.top)) * fit };
}
