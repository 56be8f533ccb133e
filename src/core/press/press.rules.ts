import { geometry, judgement, practice, ruleTable, windowRule } from '../rules/rule.ts';

const noWay = { large: 'will not pass the inner ring' };

/** Windows that the parts of a stroke set to a piece. */
export const windowRules = ruleTable({
  'press.pass-inner': windowRule('Pusher passes the inner ring', noWay, {
    mark: 'collides with the inner ring',
    meets: true,
    guides: true,
  }),
  'press.pass-shoulder': windowRule(
    'Pusher passes the shoulder',
    { large: 'lands on the shoulder of the knuckle' },
    { mark: 'lands on the shoulder', meets: true, guides: true },
  ),
  'press.follow-bore': windowRule(
    'Pusher follows into the bore',
    { large: 'will not follow the {what} into the bore' },
    { mark: 'collides with the bore', meets: true, guides: true },
  ),
  'press.lands-on-bore': windowRule(
    'Driver narrower than its bore',
    { large: 'is too wide: it lands on the bore before the {what} is home' },
    { mark: 'collides with the bore', meets: true, guides: true },
  ),
  'press.outer-ring-only': windowRule(
    'Pusher on the outer ring only',
    { small: 'reaches the {what}' },
    { mark: 'rests on the inner ring', meets: true },
  ),
  'press.inner-ring-only': windowRule(
    'Support on the inner ring only',
    { large: 'reaches the {what}, and the balls carry the force' },
    { mark: 'rests on the outer ring', meets: true },
  ),
  'press.reach': windowRule(
    'Pusher brings it home',
    { small: 'is too low to bring the {what} home' },
    { mark: 'too low to bring it home' },
  ),
  'press.reach-free': windowRule(
    'Pusher reaches until it is free',
    { small: 'will not reach until the {what} is free' },
    { mark: 'too low to free it' },
  ),
  'press.clear-flange': windowRule(
    'Hub flange drops through',
    { small: 'holds the hub flange, so the hub cannot drop' },
    { mark: 'holds the hub flange', meets: true },
  ),
  'press.clear-bearing': windowRule(
    'Receiver wider than the bearing',
    { small: 'is too narrow to receive the bearing' },
    { mark: 'too narrow for the bearing', meets: true },
  ),
  'press.clear-inner': windowRule(
    'Plate clear of the inner ring',
    { small: 'meets the bearing before it is home: the balls carry the force' },
    { mark: 'meets the bearing', meets: true },
  ),
  'press.drop': windowRule(
    'Room to drop free',
    { small: 'leaves no room for the {what} to drop free' },
    { mark: 'too shallow to drop free' },
  ),
  'press.receive': windowRule(
    'Receiver deep enough',
    { small: 'is too shallow to receive the {what}' },
    { mark: 'too shallow to receive' },
  ),
  'press.support-close': windowRule(
    'Support close round the bore',
    {
      small: 'closes the opening of the {what}',
      large: 'stands wide of the {what}, so the part bends',
    },
    { says: ['check'], source: practice },
  ),
  'press.inside-studs': windowRule(
    'Inside the wheel studs',
    { large: 'stands on the wheel studs' },
    { mark: 'lands on the studs', meets: true },
  ),
  'press.studs-clear': windowRule(
    'Studs clear of the bed',
    { small: 'is too low: the studs would stand on the bed' },
    { mark: 'studs stand on the bed' },
  ),
  'press.journal-through': windowRule(
    'Journal comes through',
    { small: 'stops the journal coming through' },
    { mark: 'stops the journal', meets: true },
  ),
  'press.journal-room': windowRule(
    'Room for the journal',
    { small: 'is too shallow for the journal that comes through' },
    { mark: 'too shallow for the journal' },
  ),
  'press.stand-clear': windowRule(
    'Knuckle clear of the bed',
    { small: 'is too low: the knuckle would touch the bed' },
    { mark: 'too low: the knuckle stands on the bed' },
  ),
  'press.over-shaft': windowRule(
    'Sleeve goes over the shaft',
    { small: 'does not go over the shaft' },
    { mark: 'does not go over the shaft', meets: true },
  ),
  'press.over-end': windowRule(
    'Sleeve longer than the shaft’s end',
    { small: 'meets the end of the shaft before the {what} is home' },
    { mark: 'meets the shaft’s end' },
  ),
  'press.shaft-drops': windowRule(
    'Shaft drops through',
    { small: 'does not let the shaft through', large: 'misses the inner ring' },
    { mark: 'holds the shaft', meets: true },
  ),
  'press.round-neck': windowRule(
    'Half-shells close round the ring',
    { small: 'does not close round the outer ring' },
    { mark: 'does not close round the ring', meets: true },
  ),
  'press.round-flange': windowRule(
    'Half-shells outside the flange',
    {
      small:
        'does not pass outside the wheel flange: it would be pulled by the flange, through the balls',
    },
    { mark: 'does not pass the flange', meets: true },
  ),
  'press.lip': windowRule(
    'Lip behind the shoulder',
    { large: 'has too thick a lip to get behind the shoulder' },
    { mark: 'lip too thick' },
  ),
  'press.seal-flush': windowRule(
    'Disc wider than the seal bore',
    { small: 'is no wider than the bore: the seal could go too deep' },
    { mark: 'can go too deep', meets: true },
  ),
  'press.head-through': windowRule(
    'Stud head goes through',
    { small: 'does not take the head of the stud' },
    { mark: 'holds the head', meets: true },
  ),
  'press.thread-through': windowRule(
    'Stud goes through',
    { small: 'does not take the stud' },
    { mark: 'holds the stud', meets: true },
  ),
  'press.stud-drop': windowRule(
    'Room for the stud',
    { small: 'is too shallow for the {what}' },
    { mark: 'too shallow for the stud' },
  ),
  'press.stud-room': windowRule(
    'Flat beside the stud',
    { large: 'meets the bearing or the next stud beside it' },
    { mark: 'meets the bearing', meets: true },
  ),
});

/** What makes a piece unfit to push or carry anywhere. */
export const pieceRules = ruleTable({
  'kit.retired': {
    title: 'Retired pieces stay out',
    says: ['stop'],
    source: 'record of the kit',
    sentence: (f) => `${f.part} is retired: ${f.is('why')}`,
    mark: 'retired',
  },
  'kit.chrome': {
    title: 'No chrome socket under a press',
    says: ['stop'],
    source: practice,
    sentence: (f) =>
      `${f.part} is a chrome socket: it can shatter under a press. Use an impact socket or a ring.`,
    mark: 'chrome: can shatter',
  },
  'kit.wood': {
    title: 'No wood as pusher',
    says: ['stop'],
    source: practice,
    sentence: (f) => `${f.part} is wood: it cannot push square.`,
    mark: 'wood: cannot push square',
  },
  'kit.rating': {
    title: 'Rating over what the stroke may need',
    says: ['stop'],
    source: 'rating of the piece against the high end of the expected force',
    sentence: (f) => `${f.part} is rated ${f.at} kN; this stroke may need ${f.least} kN.`,
    mark: 'rated too low',
  },
  'press.split': {
    title: 'Two halves only where they are shut in',
    says: ['stop'],
    source: practice,
    sentence: (f) => `${f.part} is in two halves: it opens under a load here.`,
    mark: 'opens under a load',
  },
  'press.shape': {
    title: 'The shape that gets there',
    says: ['stop'],
    source: geometry,
    sentence: (f) => `${f.part} is no ${f.is('shapes')}: ${f.is('why')}.`,
    mark: 'not the shape for this place',
  },
  'press.pressure': {
    title: 'Face pressure under the yield',
    says: ['stop'],
    source: '0.6 of the yield, our judgement',
    digits: 0,
    sentence: (f) =>
      `${f.part} would press on the ${f.is('face')} with ${f.at} MPa: its edge or the face gives way.`,
    mark: 'face gives way',
  },
  'press.contact': {
    title: 'Least width of contact',
    says: ['stop'],
    source: judgement,
    sentence: (f) =>
      f.value > 0
        ? `${f.part} bears on the ${f.is('face')} by ${f.at} mm only; ${f.least} is the least.`
        : `${f.part} does not reach the ${f.is('face')}.`,
  },
  'press.overhang': {
    title: 'Support stands on its face',
    says: ['check'],
    source: judgement,
    sentence: (f) =>
      `${f.part} overhangs the ${f.is('face')}: of its wall of ${f.is('wall')} mm it carries on ${f.is('contact')}.`,
    mark: 'overhangs the face',
    meets: true,
  },
  'press.pilot': {
    title: 'A nose that guides it',
    says: ['check'],
    source: practice,
    sentence: (f) =>
      `${f.part} has no nose that guides it in the ${f.is('bore')}: hold it square by hand.`,
  },
});

/** What holds between the pieces of a stack, and between stack and press. */
export const stackRules = ruleTable({
  'press.bridge': {
    title: 'Ram does not drop into the pusher',
    says: ['stop'],
    source: geometry,
    sentence: (f) =>
      `The ${f.is('nose')} (${f.is('ram')} mm) would drop into ${f.part} (inside ${f.at}). Lay a ${f.is('lay')} on it.`,
    mark: 'the ram drops into it',
  },
  'press.cap-solid': {
    title: 'Spacer carries the ram',
    says: ['stop'],
    source: geometry,
    sentence: (f) =>
      `${f.part} is open, so it cannot carry the ${f.is('nose')}. Use a ${f.is('lay')}.`,
    mark: 'open under the ram',
  },
  'press.cap-wide': {
    title: 'Spacer stands on the pusher',
    says: ['stop'],
    source: geometry,
    sentence: (f) => `${f.part} would fall into ${f.is('pusher')}.`,
    mark: 'falls into the pusher',
  },
  'press.cap-follow': {
    title: 'Spacer stays clear of the work',
    says: ['stop'],
    source: geometry,
    sentence: (f) => `${f.part} meets the work before the stroke is done.`,
    mark: 'meets the work',
    meets: true,
  },
  'press.cap-spare': {
    title: 'No spacer more than needed',
    says: ['check'],
    source: practice,
    sentence: (f) => `${f.part} is not needed: fewer pieces stand straighter.`,
  },
  'press.foot-bridge': {
    title: 'Nut is not drawn into the support',
    says: ['stop'],
    source: geometry,
    sentence: (f) =>
      `${f.part} (inside ${f.at}) would let the nut (${f.is('ram')} mm) through. Lay a bored plate under it.`,
    mark: 'the nut is drawn into it',
  },
  'press.riser-carries': {
    title: 'Support stands on its spacer',
    says: ['stop'],
    source: geometry,
    sentence: (f) =>
      `${f.is('support')} stands on ${f.part} by ${Math.max(0, f.value).toFixed(1)} mm only.`,
    mark: 'support falls into it',
  },
  'press.riser-spare': {
    title: 'No higher than needed',
    says: ['check'],
    source: practice,
    sentence: (f) => `${f.part} is not needed: a lower stack stands straighter.`,
  },
  'press.unmeasured': {
    title: 'Good only for every value that is still possible',
    says: ['check'],
    source: geometry,
    sentence: () =>
      'Right for some sizes of this corner and wrong for others: what is still unknown decides.',
  },
  'press.one-piece-twice': {
    title: 'Each piece once',
    says: ['stop'],
    source: geometry,
    sentence: () => 'One piece is used in two places at once.',
  },
  'press.no-support': {
    title: 'Something carries the work',
    says: ['stop'],
    source: geometry,
    sentence: (f) => `Nothing carries the ${f.is('face')}.`,
  },
  'press.draws': {
    title: 'A cartridge is drawn, not pushed',
    says: ['stop'],
    source: geometry,
    sentence: (f) => `${f.part} pushes; this has to be drawn: a screw tool or a hollow ram.`,
  },
  'press.drawn-in': {
    title: 'Receiver takes shells and plate',
    says: ['stop'],
    source: geometry,
    sentence: (f) =>
      `${f.part} is too shallow: ${f.is('pieces')} comes ${f.least} mm into it, it has ${f.at}.`,
    mark: 'too shallow to receive',
  },
  'press.round-pusher': {
    title: 'Receiver passes round what draws',
    says: ['stop'],
    source: geometry,
    sentence: (f) =>
      `${f.part} (inside ${f.at}) does not pass round ${f.is('pusher')} (outside ${f.is('outside')}).`,
    mark: 'does not pass round the shells',
    meets: true,
  },
  'press.rod-work': {
    title: 'Screw goes through the work',
    says: ['stop'],
    source: geometry,
    sentence: (f) =>
      f.value === 0
        ? `${f.part} cannot go through the work: it is closed. A press or a ram.`
        : `${f.part} (screw ${f.is('rod')} mm) does not go through the work, ${f.at} mm.`,
  },
  'press.rod-piece': {
    title: 'Screw goes through every piece',
    says: ['stop'],
    source: geometry,
    sentence: (f) => `${f.part} lets no screw of ${f.is('rod')} mm through.`,
    mark: 'no way for the screw',
    meets: true,
  },
  'press.stroke': {
    title: 'One reach of the ram',
    says: ['check'],
    source: 'record of the press',
    sentence: (f) =>
      `${f.part} goes ${f.at} mm in one reach; this stroke needs ${f.least}. Stop half way, pack it, and begin again square.`,
  },
  'press.daylight': {
    title: 'Stack stands under the ram',
    says: ['stop'],
    source: 'record of the press',
    sentence: (f) => `The stack stands ${f.at} mm; ${f.part} opens ${f.most}.`,
  },
  'press.capacity': {
    title: 'Force within the press',
    says: ['stop'],
    source: 'capacity of the press against the high end of the expected force',
    sentence: (f) =>
      `This stroke may need ${f.at} kN; ${f.part} gives ${f.most}. Choose another route.`,
  },
  'press.no-hammer': {
    title: 'Never by blows',
    says: ['stop'],
    source: practice,
    sentence: (f) => f.is('word'),
  },
  'press.hammer': {
    title: 'Blows are a school',
    says: ['check'],
    source: 'school: hammer with a driver',
    sentence: (f) => f.is('word'),
  },
  'press.old-ring-drives': {
    title: 'The old ring drives the new one',
    says: ['check'],
    source: practice,
    sentence: (f) =>
      `Drive it with the old ring, ground down, not with ${f.part}: it is as wide as the ring and as hard.`,
  },
});

/** Where the force runs. */
export const pathRules = ruleTable({
  'press.ring-holds': {
    title: 'A press ring that holds a hard bend',
    says: ['good', 'check', 'stop'],
    source: judgement,
    sentence: (f) => {
      const says = `The ring holds ${f.value.toFixed(1)} kN at least, a bend at 0.8 g pulls ${f.min.toFixed(1)} kN: factor ${f.is('factor')}.`;
      return f.value < f.min ? `${says} It would slide: not on this shaft.` : says;
    },
  },
  'press.no-path': {
    title: 'An unbroken way from ram to bed',
    says: ['stop'],
    source: geometry,
    sentence: () =>
      'No unbroken way for the force from ram to bed: a piece misses what it should carry.',
  },
  'press.path': {
    title: 'Force runs beside the balls',
    says: ['good'],
    source: geometry,
    sentence: (f) =>
      `Force runs through the ${f.part}.${f.number('rows') > 0 ? ' No ball carries any of it.' : ''}`,
  },
  'press.scrap': {
    title: 'Through the balls of scrap',
    says: ['good'],
    source: practice,
    sentence: () => 'Force crosses the balls. Allowed on removal: the old bearing is scrap.',
  },
  'press.through-balls': {
    title: 'No force through balls that roll again',
    says: ['stop'],
    source:
      'static axial rating C0/Y0 and contact stress, ISO 76; dent by the square of the load, Palmgren',
    digits: 0,
    sentence: (f) =>
      `Balls carry ${f.at} kN (${f.is('low')}–${f.is('high')}), ${f.is('percent')} % of the row's static axial rating before any blow, ${f.is('stress')} MPa in the contact: dents of about ${f.is('dent')} µm that nobody sees and everybody hears later.`,
  },
});
