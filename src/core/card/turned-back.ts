import { facts } from '../families/index.ts';
import { seatPart, stationNames } from '../job/index.ts';
import { operationNames } from '../press/index.ts';
import type { JobEvent } from '../schemas/events.ts';
import type { CardLine } from './card.ts';
import type { CardSource } from './make.ts';

/** Entries that go back on what stood, in words; undefined for all others. */
function line(e: JobEvent, earlier: readonly JobEvent[], source: CardSource): CardLine | undefined {
  const said = { who: e.byId, atMs: e.atMs };
  switch (e.type) {
    case 'station-reopened':
      return { what: `${stationNames[e.body.station]} reopened`, value: e.body.reason, ...said };
    case 'job-closed':
      return { what: 'Job closed', value: e.body.reason, ...said };
    case 'job-reopened':
      return { what: 'Job opened again', value: e.body.reason, ...said };
    case 'seat-judged':
      if (e.body.decision !== 'replace') return undefined;
      return { what: seatPart(source, e.body.seat), value: 'given up, to be replaced', ...said };
    case 'fact-seen':
      if (!e.body.absent) return undefined;
      return { what: facts[e.body.factId].ask, value: facts[e.body.factId].opposite.seen, ...said };
    case 'stroke-recorded': {
      const { operation } = e.body;
      const before = earlier.findLast(
        (x) => x.type === 'stroke-recorded' && x.body.operation === operation,
      );
      if (before?.type !== 'stroke-recorded') return undefined;
      const { depthMm } = before.body;
      const was = depthMm === undefined ? 'once before' : `was ${depthMm.toFixed(1)} mm`;
      return { what: `${operationNames[operation]}, made again`, value: was, ...said };
    }
    default:
      return undefined;
  }
}

/** What was done over, given up or found wrong on the way, in order: a card that only shows the end hides the work. */
export const turnedBack = (source: CardSource): CardLine[] =>
  source.events.flatMap((e, i) => line(e, source.events.slice(0, i), source) ?? []);
