import { practice, type Rule, ruleTable } from '../rules/rule.ts';

/** A thing to be seen before a stroke: what is said while nobody has seen it. */
const seenFirst = (title: string, said: string): Rule => ({
  title,
  says: ['refuses'],
  source: practice,
  sentence: () => said,
});

/** Strokes stay locked until the thing behind them was seen. */
export const factRules = ruleTable({
  'press.old-ring': seenFirst(
    'Old inner ring off first',
    'The old inner ring is still on the hub.',
  ),
  'press.snap-ring': seenFirst(
    'Snap ring out first',
    'The snap ring is still in its groove: take it out, or the press takes the knuckle.',
  ),
  'press.groove': seenFirst(
    'Groove clear before the hub',
    'The snap-ring groove has not been seen clear: the bearing may not be home.',
  ),
  'press.snap-ring-in': seenFirst(
    'Snap ring in before the hub',
    'The snap ring is not in: behind the hub it cannot be fitted.',
  ),
  'press.shield': seenFirst(
    'Dust shield on before the hub',
    'The dust shield is not on: behind the hub it cannot be fitted.',
  ),
  'press.shells': seenFirst(
    'Half-shells behind the shoulder',
    'The half-shells have not been seen behind the shoulder: the flange is never pulled.',
  ),
  'press.seat-clean': seenFirst(
    'Seat and relief clean',
    'Seat and relief are not cleaned: the shoulder would stop on dirt and the clip would not snap.',
  ),
  'press.aligned': seenFirst(
    'Cartridge true both ways',
    'The cartridge has not been seen true both ways.',
  ),
  'press.collar': seenFirst(
    'Press ring off first',
    'The press ring is still on: the press would take the shaft.',
  ),
  'press.guard': seenFirst('Guard round the bearing', 'No guard round the bearing: it can burst.'),
  'press.retainer': seenFirst(
    'Retainer plate on before the bearing',
    'The retainer plate is not on the shaft: it does not go on over the bearing.',
  ),
  'press.axle-seal': seenFirst(
    'Axle seal on before the bearing',
    'The axle seal is not on the shaft: it sits behind the bearing.',
  ),
  'press.track': seenFirst(
    'Track on the shaft felt',
    'The track on the shaft has not been felt: a new bearing on a pitted track is noisy at once.',
  ),
  'press.shaft-good': seenFirst(
    'Journal, track and straightness of the shaft',
    'The shaft has not been looked at: a groove under the lip leaks, a bent shaft eats the next bearing.',
  ),
  'press.shell-oiled': seenFirst(
    'Shell oiled, marked end out',
    'Shell not oiled, or its marked end not looked for.',
  ),
  'press.seal-lip': seenFirst(
    'Seal lip oiled, right way round',
    'The lip of the seal is dry, or its direction was not looked at.',
  ),
  'press.packed': seenFirst(
    'Bearings packed',
    'The bearings are not packed yet: behind the second one nobody gets in.',
  ),
  'press.spacer': seenFirst(
    'Spacer in before the second bearing',
    'The spacer is not in: it does not go in after the second bearing.',
  ),
});
export type FactRule = keyof typeof factRules;
