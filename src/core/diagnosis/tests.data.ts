import type { TestKind } from './tests.ts';

/**
 * Likelihood of each result under each suspect, by how the suspect stands to the place tested.
 * Engineering judgement of ours, no published source; the reason stands beside each test.
 * Rows give the results in order and sum to 1. `rest` is every suspect without a row of its own.
 */
export const tests: readonly TestKind[] = [
  {
    id: 'road', name: 'Steady speed, window down: where is it?', short: 'Road test', place: 'car', minutes: 8, state: 'driven', group: 'road', tools: [],
    results: [{ id: 'left', name: 'On the left' }, { id: 'right', name: 'On the right' }, { id: 'across', name: 'Across the axle' }, { id: 'none', name: 'Nothing heard' }],
    rows: { 'bearing:left': [0.5, 0.12, 0.28, 0.1], 'bearing:right': [0.12, 0.5, 0.28, 0.1], 'brake:left': [0.45, 0.08, 0.17, 0.3], 'brake:right': [0.08, 0.45, 0.17, 0.3], tyre: [0.15, 0.15, 0.65, 0.05], cv: [0.2, 0.2, 0.2, 0.4], final: [0.08, 0.08, 0.74, 0.1], gearbox: [0.12, 0.12, 0.56, 0.2], engine: [0.1, 0.1, 0.6, 0.2], ujoint: [0.08, 0.08, 0.54, 0.3], rest: [0.1, 0.1, 0.15, 0.65] },
    why: 'Noise travels through the body: a side is a hint, not a finding.',
  },
  {
    id: 'bend', name: 'Swerve both ways at the speed where it is loud', short: 'Bend test', place: 'car', minutes: 6, state: 'driven', group: 'road', tools: [],
    results: [{ id: 'left', name: 'Louder bending left' }, { id: 'right', name: 'Louder bending right' }, { id: 'same', name: 'Same both ways' }],
    rows: { 'bearing:left': [0.14, 0.58, 0.28], 'bearing:right': [0.58, 0.14, 0.28], tyre: [0.14, 0.14, 0.72], cv: [0.22, 0.22, 0.56], 'joint:left': [0.1, 0.25, 0.65], 'joint:right': [0.25, 0.1, 0.65], rest: [0.07, 0.07, 0.86] },
    why: 'A left bend loads the right wheels. A double-row unit can fool this test.',
  },
  {
    id: 'surface', name: 'Drive from smooth on to coarse road', short: 'Surface change', place: 'car', minutes: 5, state: 'driven', group: 'road', tools: [],
    results: [{ id: 'changes', name: 'Note changes' }, { id: 'same', name: 'Stays the same' }],
    rows: { tyre: [0.82, 0.18], joint: [0.35, 0.65], rest: [0.14, 0.86] },
    why: 'Tread noise follows the surface; a bearing does not.',
  },
  {
    id: 'coast', name: 'Coast in neutral at speed', short: 'Coast in neutral', place: 'car', minutes: 3, state: 'driven', group: 'drive', tools: [],
    results: [{ id: 'same', name: 'Stays' }, { id: 'drops', name: 'Stops or drops' }],
    rows: { engine: [0.1, 0.9], gearbox: [0.45, 0.55], final: [0.5, 0.5], cv: [0.65, 0.35], rest: [0.95, 0.05] },
    why: 'Stops: the engine, or gears that whine under load. Stays: the engine is out, the gears are not cleared.',
  },
  {
    id: 'spring', name: 'Spin the wheel by hand, fingers on the coil spring', short: 'Hand on the spring', place: 'corner', minutes: 2, state: 'lifted', group: 'hand', tools: [],
    results: [{ id: 'smooth', name: 'Smooth' }, { id: 'rough', name: 'Rough' }, { id: 'gritty', name: 'Gritty' }],
    rows: { 'bearing:here': [0.14, 0.5, 0.36], 'brake:here': [0.52, 0.43, 0.05], 'cv:here': [0.8, 0.17, 0.03], rest: [0.87, 0.11, 0.02] },
    why: 'Roughness of the raceway travels into the spring. One of the strongest tests.',
  },
  {
    id: 'ear', name: 'Stethoscope on both knuckles, wheels run on the lift', short: 'Listen at the knuckles', place: 'axle', minutes: 4, state: 'lifted', group: 'hand', tools: ['stethoscope'],
    numeric: { unit: 'dB', label: 'Left over right', from: -24, to: 24, step: 4 },
    bells: { 'bearing:left': [8, 5.5], 'bearing:right': [-8, 5.5], 'brake:left': [3, 5], 'brake:right': [-3, 5], rest: [0, 3.5] },
    why: 'The bad side is louder at the knuckle. Joints hanging at an angle make their own noise.',
  },
  {
    id: 'nuts', name: 'Look at and try the centre nut and the wheel nuts', short: 'Nuts', place: 'corner', minutes: 1, state: 'lifted', group: 'play', tools: [],
    results: [{ id: 'tight', name: 'Tight' }, { id: 'loose', name: 'Loose' }],
    rows: { 'nut:here': [0.08, 0.92], rest: [0.985, 0.015] },
    why: 'A loose nut feels the same as a bearing: look first.',
  },
  {
    id: 'rock', name: 'Rock the wheel at 12 and 6, then at 3 and 9', short: 'Rock the wheel', place: 'corner', minutes: 2, state: 'lifted', group: 'play', tools: [],
    results: [{ id: 'none', name: 'No play' }, { id: 'all-round', name: 'Alike both ways' }, { id: 'only-12-6', name: 'Only 12 and 6' }, { id: 'only-3-9', name: 'Only 3 and 9' }],
    rows: { 'bearing:here': [0.58, 0.28, 0.1, 0.04], 'nut:here': [0.15, 0.75, 0.05, 0.05], 'joint:here': [0.12, 0.06, 0.42, 0.4], rest: [0.92, 0.02, 0.03, 0.03] },
    why: 'Alike both ways is the bearing or a loose nut. No play clears nothing: early failures have none.',
  },
  {
    id: 'endplay', name: 'Dial indicator on the flange, push and pull', short: 'End play', place: 'corner', minutes: 7, state: 'wheel-off', group: 'play', tools: ['dial indicator'],
    numeric: { unit: 'mm', label: 'End play', from: 0, to: 0.4, step: 0.04 },
    bells: { 'bearing:here': [0.11, 0.09], 'nut:here': [0.3, 0.12], rest: [0.02, 0.018] },
    why: 'Against the limit of the unit. Rocking is not counted.',
  },
  {
    id: 'runout', name: 'Dial indicator on the disc, one turn', short: 'Runout', place: 'corner', minutes: 7, state: 'wheel-off', group: 'runout', tools: ['dial indicator'],
    numeric: { unit: 'mm', label: 'Runout', from: 0, to: 0.4, step: 0.04 },
    bells: { 'bearing:here': [0.07, 0.05], 'brake:here': [0.12, 0.07], rest: [0.04, 0.03] },
    why: 'A bent flange or rust under the disc rubs and pulses.',
  },
  {
    id: 'heat', name: 'Read both sides with the IR thermometer after a drive', short: 'Temperature of both sides', place: 'axle', minutes: 5, state: 'driven', group: 'heat', tools: ['IR thermometer'],
    numeric: { unit: '°C', label: 'Left over right', from: -96, to: 96, step: 8 },
    bells: { 'bearing:left': [11, 10], 'bearing:right': [-11, 10], 'brake:left': [38, 20], 'brake:right': [-38, 20], rest: [0, 5] },
    why: 'A failing bearing warms a little, a dragging brake a lot. Aim at a matt spot.',
  },
  {
    id: 'drag', name: 'Turn the wheel with the pads off', short: 'Brake drag', place: 'corner', minutes: 8, state: 'wheel-off', group: 'brake', tools: [],
    results: [{ id: 'gone', name: 'Noise or drag gone' }, { id: 'same', name: 'The same' }],
    rows: { 'brake:here': [0.9, 0.1], 'bearing:here': [0.07, 0.93], rest: [0.15, 0.85] },
    why: 'What goes with the pads is the brake.',
  },
  {
    id: 'tread', name: 'Feel the tread for cups and feathers', short: 'Tyre tread', place: 'axle', minutes: 2, state: 'lifted', group: 'tyre', tools: [],
    results: [{ id: 'none', name: 'Even' }, { id: 'some', name: 'Cupped or feathered' }],
    rows: { 'tyre:here': [0.2, 0.8], 'joint:left': [0.6, 0.4], 'joint:right': [0.6, 0.4], rest: [0.82, 0.18] },
    why: 'Cupped tread hums like a bearing.',
  },
  {
    id: 'swap', name: 'Swap front and rear wheels, drive again', short: 'Wheels swapped', place: 'car', minutes: 25, state: 'driven', group: 'tyre', tools: [],
    results: [{ id: 'moves', name: 'Noise moves' }, { id: 'stays', name: 'Noise stays' }],
    rows: { tyre: [0.9, 0.1], rest: [0.04, 0.96] },
    why: 'What goes with the wheels is the tyre.',
  },
  {
    id: 'lock', name: 'Slow drive at full lock, both ways', short: 'CV joint at full lock', place: 'car', minutes: 3, state: 'driven', group: 'cv', tools: [], layouts: ['front', 'rear', 'all'],
    results: [{ id: 'quiet', name: 'Quiet' }, { id: 'clicks', name: 'Clicks' }],
    rows: { cv: [0.18, 0.82], joint: [0.8, 0.2], rest: [0.97, 0.03] },
    why: 'A worn joint clicks under load at full lock.',
  },
  {
    id: 'reverse', name: 'Forward and back on and off the drive', short: 'Drive on and off', place: 'car', minutes: 3, state: 'driven', group: 'drive', tools: [], layouts: ['rear', 'all', 'solid-rear'],
    results: [{ id: 'quiet', name: 'Quiet' }, { id: 'clunk', name: 'Clunks' }],
    rows: { ujoint: [0.25, 0.75], final: [0.6, 0.4], nut: [0.75, 0.25], rest: [0.95, 0.05] },
    why: 'Play in the propshaft or the final drive shows when the load turns round.',
  },
  {
    id: 'load', name: 'Pull, hold and coast through the speed', short: 'Load change', place: 'car', minutes: 4, state: 'driven', group: 'drive', tools: [],
    results: [{ id: 'changes', name: 'Changes with load' }, { id: 'same', name: 'Same' }],
    rows: { final: [0.82, 0.18], gearbox: [0.66, 0.34], engine: [0.85, 0.15], ujoint: [0.5, 0.5], cv: [0.5, 0.5], rest: [0.1, 0.9] },
    why: 'Gears change their note when the load turns round; a wheel bearing does not.',
  },
  {
    id: 'signal', name: 'Wheel-speed signal at walking pace and at 60 km/h', short: 'Wheel-speed signal', place: 'corner', minutes: 3, state: 'driven', group: 'signal', tools: ['wheel-speed reader'],
    results: [{ id: 'agrees', name: 'Agrees with the others' }, { id: 'drops', name: 'Drops out' }, { id: 'differs', name: 'Differs' }],
    rows: { 'bearing:here': [0.8, 0.12, 0.08], 'nut:here': [0.85, 0.1, 0.05], 'sensor:here': [0.08, 0.57, 0.35], rest: [0.98, 0.01, 0.01] },
    why: 'Play opens the air gap; a sound signal clears the sensor, not the bearing.',
  },
  {
    id: 'look', name: 'Look behind the wheel: grease, red dust, torn seal, oil', short: 'Look behind the wheel', place: 'corner', minutes: 2, state: 'lifted', group: 'look', tools: [],
    results: [{ id: 'clean', name: 'Clean' }, { id: 'grease', name: 'Grease or red dust' }, { id: 'oil', name: 'Oil' }],
    rows: { 'bearing:here': [0.68, 0.3, 0.02], 'seal:here': [0.12, 0.08, 0.8], 'cv:here': [0.6, 0.38, 0.02], 'joint:here': [0.7, 0.29, 0.01], rest: [0.94, 0.05, 0.01] },
    why: 'Flung grease and red dust are wear; oil below the flange is the axle seal. A whole seal clears nothing.',
  },
  {
    id: 'recording', name: 'Record at speed and let the ear find the orders', short: 'Recording', place: 'car', minutes: 9, state: 'driven', group: 'road', tools: ['microphone'],
    results: [{ id: 'bearing', name: 'Bearing orders' }, { id: 'tyre', name: 'Tyre or wheel orders' }, { id: 'driveline', name: 'Driveline orders' }, { id: 'nothing', name: 'Nothing stands out' }],
    rows: { bearing: [0.78, 0.06, 0.02, 0.14], tyre: [0.03, 0.78, 0.02, 0.17], final: [0.03, 0.05, 0.72, 0.2], ujoint: [0.02, 0.12, 0.6, 0.26], gearbox: [0.04, 0.06, 0.3, 0.6], rest: [0.03, 0.07, 0.04, 0.86] },
    why: 'Orders of wheel turning tell which part repeats; not which corner.',
  },
  {
    id: 'bench', name: 'Old bearing on the bench, turned by hand', short: 'Turned on the bench', place: 'corner', minutes: 1, state: 'off', group: 'bench', tools: [],
    results: [{ id: 'smooth', name: 'Smooth' }, { id: 'sandy', name: 'Sandy or loose' }],
    rows: { 'bearing:here': [0.03, 0.97], rest: [0.97, 0.03] },
    why: 'The last word. A stiff, smooth bearing is a good one; sand between the fingers is not.',
  },
];
