import type { TestKind } from './tests.ts';

/**
 * Likelihood of each result under each suspect, by how the suspect stands to the place tested.
 * Engineering judgement of ours, no published source; the reason stands beside each test.
 * Rows give the results in order and sum to 1. `rest` is every suspect without a row of its own.
 */
export const tests: readonly TestKind[] = [
  {
    id: 'bend', name: 'Swerve both ways at the speed where it is loud', short: 'Bend test', place: 'car', minutes: 6, state: 'driven', group: 'road',
    results: [{ id: 'left', name: 'Louder bending left' }, { id: 'right', name: 'Louder bending right' }, { id: 'same', name: 'Same both ways' }],
    rows: { 'bearing:left': [0.14, 0.58, 0.28], 'bearing:right': [0.58, 0.14, 0.28], tyre: [0.14, 0.14, 0.72], cv: [0.22, 0.22, 0.56], rest: [0.07, 0.07, 0.86] },
    why: 'A left bend loads the right wheels. A double-row unit can fool this test.',
  },
  {
    id: 'surface', name: 'Drive from smooth on to coarse road', short: 'Surface change', place: 'car', minutes: 5, state: 'driven', group: 'road',
    results: [{ id: 'changes', name: 'Note changes' }, { id: 'same', name: 'Stays the same' }],
    rows: { tyre: [0.8, 0.2], rest: [0.15, 0.85] },
    why: 'Tread noise follows the surface; a bearing does not.',
  },
  {
    id: 'coast', name: 'Coast in neutral at speed', short: 'Coast in neutral', place: 'car', minutes: 3, state: 'driven', group: 'road',
    results: [{ id: 'same', name: 'Stays' }, { id: 'drops', name: 'Stops or drops' }],
    rows: { engine: [0.15, 0.85], cv: [0.7, 0.3], rest: [0.95, 0.05] },
    why: 'What goes away with the drive belongs to the drive.',
  },
  {
    id: 'spring', name: 'Spin the wheel by hand, fingers on the coil spring', short: 'Hand on the spring', place: 'corner', minutes: 2, state: 'lifted', group: 'hand',
    results: [{ id: 'smooth', name: 'Smooth' }, { id: 'rough', name: 'Rough' }, { id: 'gritty', name: 'Gritty' }],
    rows: { 'bearing:here': [0.14, 0.5, 0.36], 'brake:here': [0.55, 0.41, 0.04], 'cv:here': [0.8, 0.17, 0.03], rest: [0.87, 0.11, 0.02] },
    why: 'Roughness of the raceway travels into the spring. One of the strongest tests.',
  },
  {
    id: 'ear', name: 'Stethoscope on both knuckles, wheels run on the lift', short: 'Listen at the knuckles', place: 'axle', minutes: 4, state: 'lifted', group: 'hand',
    numeric: { unit: 'dB', label: 'Left over right', from: -24, to: 24, step: 2 },
    bells: { 'bearing:left': [8, 5.5], 'bearing:right': [-8, 5.5], 'brake:left': [3, 5], 'brake:right': [-3, 5], rest: [0, 3.5] },
    why: 'The bad side is louder at the knuckle. Joints hanging at an angle make their own noise.',
  },
  {
    id: 'rock', name: 'Rock the wheel at 12 and 6, then at 3 and 9', short: 'Rock the wheel', place: 'corner', minutes: 2, state: 'lifted', group: 'play',
    results: [{ id: 'none', name: 'No play' }, { id: 'all-round', name: 'Alike both ways' }, { id: 'only-12-6', name: 'Only 12 and 6' }, { id: 'only-3-9', name: 'Only 3 and 9' }],
    rows: { 'bearing:here': [0.6, 0.27, 0.1, 0.03], rest: [0.88, 0.02, 0.05, 0.05] },
    why: 'Play both ways is the bearing or a loose nut. No play clears nothing: early failures have none.',
  },
  {
    id: 'heat', name: 'Read both sides with the IR thermometer after a drive', short: 'Temperature of both sides', place: 'axle', minutes: 5, state: 'driven', group: 'heat',
    numeric: { unit: '°C', label: 'Left over right', from: -96, to: 96, step: 4 },
    bells: { 'bearing:left': [11, 10], 'bearing:right': [-11, 10], 'brake:left': [38, 20], 'brake:right': [-38, 20], rest: [0, 4] },
    why: 'A failing bearing warms a little, a dragging brake a lot. Aim at a matt spot.',
  },
  {
    id: 'drag', name: 'Turn the wheel with the pads off', short: 'Brake drag', place: 'corner', minutes: 8, state: 'wheel-off', group: 'brake',
    results: [{ id: 'gone', name: 'Noise or drag gone' }, { id: 'same', name: 'The same' }],
    rows: { 'brake:here': [0.92, 0.08], 'bearing:here': [0.06, 0.94], rest: [0.15, 0.85] },
    why: 'What goes with the pads is the brake.',
  },
  {
    id: 'signal', name: 'Wheel-speed signal at walking pace and at 60 km/h', short: 'Wheel-speed signal', place: 'corner', minutes: 6, state: 'driven', group: 'signal',
    results: [{ id: 'agrees', name: 'Agrees with the others' }, { id: 'differs', name: 'Drops out or differs' }],
    rows: { 'bearing:here': [0.78, 0.22], sensor: [0.74, 0.26], rest: [0.98, 0.02] },
    why: 'Play opens the air gap; a sound signal clears the sensor, not the bearing.',
  },
  {
    id: 'tread', name: 'Feel the tread for cups and feathers', short: 'Tyre tread', place: 'axle', minutes: 2, state: 'lifted', group: 'tyre',
    results: [{ id: 'none', name: 'Even' }, { id: 'some', name: 'Cupped or feathered' }],
    rows: { 'tyre:here': [0.22, 0.78], rest: [0.8, 0.2] },
    why: 'Cupped tread hums like a bearing.',
  },
  {
    id: 'lock', name: 'Slow drive at full lock, both ways', short: 'CV joint at full lock', place: 'car', minutes: 3, state: 'driven', group: 'cv',
    results: [{ id: 'quiet', name: 'Quiet' }, { id: 'clicks', name: 'Clicks' }],
    rows: { cv: [0.2, 0.8], rest: [0.97, 0.03] },
    why: 'A worn joint clicks under load at full lock.',
  },
];
