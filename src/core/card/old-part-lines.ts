import { familyCodeOf, type JobNow } from '../job/index.ts';
import { causes, looks, placeInWords, placeNames, severityWords } from '../old-part/index.ts';
import { by } from './by.ts';
import type { CardDocument, CardLine } from './card.ts';

/** How the old part looked, what was taken for the cause, and what to do on this car. */
export function racewaysOf(source: JobNow): Pick<CardDocument, 'raceways'> {
  const read = source.state.raceways;
  if (!read) return {};
  const family = familyCodeOf(source);
  const marks = read.marks.map((m): CardLine => ({
    what: `Old ${placeNames[m.on]}${m.row ? `, ${m.row}` : ''}`,
    value: [
      looks[m.look].name.toLowerCase(),
      placeInWords(m, family),
      m.gapDeg === undefined ? undefined : `${m.gapDeg}° apart`,
      severityWords[m.severity - 1],
    ]
      .filter((x) => x !== undefined)
      .join(', '),
    ...by(read),
  }));
  const cause = read.cause && causes[read.cause];
  return {
    raceways: [
      ...marks,
      ...(cause
        ? [{ what: 'Taken for the cause', value: cause.name.toLowerCase(), ...by(read) }]
        : []),
      ...(cause ? cause.advice.map((a) => ({ what: 'On this car', value: a })) : []),
    ],
  };
}

/** Pictures left with the job. */
export const photosOf = ({ state }: JobNow): Pick<CardDocument, 'photos'> =>
  state.photos.length === 0
    ? {}
    : {
        photos: state.photos.map((p) => ({
          hash: p.hash,
          of: p.of,
          ...(p.text ? { text: p.text } : {}),
          ...by(p),
        })),
      };
