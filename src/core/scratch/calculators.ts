import type { Calculator } from './calculator.ts';
import { growth, pressForce, screwTool, toleranceOf } from './fit.ts';
import {
  angleMarks,
  bodyWeight,
  castle,
  clamp,
  endPlay,
  lockPlace,
  toolSetting,
  warmPlay,
} from './nut.ts';
import { orders, tyreOrders } from './wheel.ts';

/** Every calculation of the quick page, in the order of the work. */
export const calculators: readonly Calculator[] = [
  toolSetting,
  bodyWeight,
  clamp,
  angleMarks,
  castle,
  endPlay,
  lockPlace,
  warmPlay,
  toleranceOf,
  pressForce,
  growth,
  screwTool,
  tyreOrders,
  orders,
];
