import { judgement, practice, ruleTable } from '../rules/rule.ts';

const half = 'half the IT grade, our judgement';

/** Whether a seat may be used again. */
export const seatRules = ruleTable({
  'seat.instrument': {
    title: 'An instrument fine enough for the class',
    says: ['check'],
    source: 'a third of the band, common practice, no published source',
    digits: 3,
    sentence: (f) =>
      `The ${f.part} reads to ±${f.at} mm: too coarse to judge a band of ${f.is('band')} mm. Read again with a ${f.is('better')}.`,
  },
  'seat.no-grip': {
    title: 'The ring must grip',
    says: ['stop'],
    source: 'common practice, no published source: a ring that turns with its load creeps',
    digits: 3,
    sentence: (f) =>
      `The new ring would slide ${f.is('way')} the ${f.part} by hand: fit ${f.at} mm. It will creep. Replace it or document a repair.`,
  },
  'seat.size': {
    title: 'Inside its tolerance class',
    says: ['check'],
    source: 'ISO 286-2 limits of the class on record',
    digits: 3,
    sentence: (f) =>
      `The ${f.part} is ${f.is('way')} than class ${f.is('class')}: ${f.at} mm, fit ${f.is('fit')} mm.`,
  },
  'seat.yields': {
    title: 'Not so tight that the metal yields',
    says: ['check', 'stop'],
    source:
      'greatest shear (Tresca) in a thick cylinder, Shigley; yields are handbook means, from memory, of a housing three quarters (grooves, thin places), our judgement',
    digits: 3,
    sentence: (f) =>
      `Tight by ${f.at} mm, the ${f.part} ${f.is('sure') ? 'yields' : 'may yield'}: ${f.is('stressMpa')} MPa where it holds ${f.is('limitMpa')}, from ${f.most} mm on. Measure again; if it is so, another part.`,
  },
  'seat.ring-tension': {
    title: 'Not so tight that the inner ring cracks',
    says: ['check', 'stop'],
    source: 'hoop tension (Lamé); 250 MPa, twice what the tightest usual fit makes, our judgement',
    digits: 3,
    sentence: (f) =>
      `Tight by ${f.at} mm on the ${f.part}, the inner ring stands at ${f.is('stressMpa')} MPa of tension: it ${f.is('sure') ? 'cracks' : 'may crack'} from about ${f.is('limitMpa')} on. Measure again; if it is so, another part.`,
  },
  'seat.clearance': {
    title: 'Clearance left between the rings',
    says: ['stop'],
    source: 'ISO 5753-1 (memory) less both fits (Lamé) and 10 K between the rings, our judgement',
    digits: 3,
    sentence: (f) =>
      `Fitted this tight and warm, a ${f.is('class')} bearing has no clearance left: ${f.at} mm at most. It runs hot and fails early. Measure again; if it is so, a looser class or another part.`,
  },
  'seat.round': {
    title: 'Round',
    says: ['stop'],
    source: half,
    digits: 3,
    sentence: (f) =>
      `The ${f.part} is out of round by ${f.at} mm. Dress a burr and read again, or replace.`,
  },
  'seat.taper': {
    title: 'Straight',
    says: ['stop'],
    source: half,
    digits: 3,
    sentence: (f) => `The ${f.part} is tapered by ${f.at} mm from end to end.`,
  },
  'seat.good': {
    title: 'Round, straight and to size',
    says: ['good'],
    source: 'ISO 286-2 limits of the class on record',
    digits: 3,
    sentence: () => 'Round, straight and to size. The new ring will hold.',
  },
  'seat.warm': {
    title: 'Grip left when it is warm',
    says: ['check'],
    source: 'difference of expansion; 60 K over the shop, our judgement',
    digits: 3,
    sentence: (f) =>
      `Warm on the road, +${f.is('serviceK')} K, the aluminium bore gives back all its grip: ${f.at} mm left. The ring would creep.`,
  },
  'seat.grooved': {
    title: 'No groove from a ring that spun',
    says: ['stop'],
    source: practice,
    sentence: (f) => `Grooved by a ring that spun: the ${f.part} is scrap.`,
  },
  'seat.seal-track': {
    title: 'Nothing under a seal lip',
    says: ['stop'],
    source: practice,
    sentence: () => 'A nick under a seal lip leaks, however small: replace.',
  },
  'seat.nick-share': {
    title: 'Share of the circle that is gone',
    says: ['stop'],
    source: practice,
    digits: 0,
    sentence: (f) =>
      `${f.at} % of the circle is gone: more than a few per cent no longer carries the ring.`,
  },
  'seat.nick-depth': {
    title: 'A nick, not a notch',
    says: ['stop'],
    source: judgement,
    digits: 2,
    sentence: (f) => `${f.at} mm deep is a notch: a crack starts there.`,
  },
  'seat.dress': {
    title: 'A small nick is dressed',
    says: ['check'],
    source: practice,
    digits: 0,
    sentence: (f) =>
      `Dress it: blend ${f.at} % of the circle smooth, no high spot, then measure again.`,
  },
  'seat.slides': {
    title: 'The ring must grip',
    says: ['stop'],
    source: 'common practice, no published source: a ring that turns with its load creeps',
    sentence: (f) =>
      `The ring slides ${f.is('way')} the ${f.part} by hand. It will creep: the ${f.part} is scrap, or gets a documented repair.`,
  },
  'seat.worn': {
    title: 'Wear that a caliper finds',
    says: ['stop'],
    source: '0.1 mm off the nominal, our judgement',
    digits: 2,
    sentence: (f) =>
      `A caliper reads ${f.at} mm where ${f.is('nominal')} belongs: the ${f.part} is worn. Measure it, or replace.`,
  },
  'seat.oval': {
    title: 'Out of round so that a caliper finds it',
    says: ['stop'],
    source: 'twice the doubt of a caliper, our judgement',
    digits: 2,
    sentence: (f) =>
      `Two readings a quarter turn apart differ by ${f.at} mm: the ${f.part} is not round. Measure it, or replace.`,
  },
  'seat.marks': {
    title: 'No ring moved on it',
    says: ['check'],
    source: practice,
    sentence: (f) =>
      `Polished or scored all round: the ring has moved on the ${f.part}. Measure it before it is used again.`,
  },
  'seat.blued': {
    title: 'It never ran hot',
    says: ['check'],
    source: practice,
    sentence: (f) =>
      `Blue: the ${f.part} ran hot, and a ring span on it. Measure it before it is used again.`,
  },
  'seat.rust': {
    title: 'Clean to metal',
    says: ['check'],
    source: practice,
    sentence: (f) => `Rust on the ${f.part}: clean it to metal and look again.`,
  },
  'seat.by-feel': {
    title: 'By feel and eye, not measured',
    says: ['check'],
    source: practice,
    sentence: (f) =>
      `Not measured. ${f.is('tried') ? 'The ring grips and nothing is seen' : 'Nothing is seen'} on the ${f.part}. Open: out of round and taper in hundredths${f.is('tried') ? ', how tight the new ring sits' : ', whether the ring grips'}.`,
  },
  'seat.reading': {
    title: 'A reading near its nominal',
    says: ['refuses'],
    source: '1 mm, our judgement',
    digits: 2,
    sentence: (f) => `${f.at} is far from ${f.is('nominal')} mm: a slip?`,
  },
  'seat.not-read': {
    title: 'Measured before it is judged',
    says: ['refuses'],
    source: practice,
    sentence: () => 'This seat has not been measured: nothing can be said of it yet.',
  },
  'seat.stop': {
    title: 'No reuse of a seat that is Stop',
    says: ['refuses'],
    source: practice,
    sentence: (f) => `${f.is('because')} Replace it, or answer for it by name.`,
  },
});
