import { createHash } from 'node:crypto';
import { adjustOf } from '../core/job/index.ts';
import { dialShows, madeUpPlayMm } from '../core/standins/play.ts';
import { repeatsMm } from '../core/standins/runout.ts';
import { standInIndicator } from '../devices/indicator.ts';
import { jobView } from './job-record.ts';
import { invalid } from './problem.ts';
import { sse, standInSpeed } from './streams.ts';

/** Where the made-up dial stands pushed in, mm. */
const restMm = 2;
const pauseMs = 60;

/** The stand-in dial pushed in or pulled out, the nut turned since its first reading, as server-sent events until it stands still. */
export async function playStream(jobId: string, end: string, turned: string): Promise<Response> {
  if (end !== 'push' && end !== 'pull') throw invalid([{ field: 'end', reason: 'push or pull.' }]);
  const turnedDeg = Number(turned);
  if (!(Math.abs(turnedDeg) <= 720))
    throw invalid([{ field: 'turned', reason: 'Degrees, from −720 to 720.' }]);
  const now = adjustOf(await jobView(jobId));
  if (now?.pitchMm === undefined)
    throw invalid([
      { field: 'id', reason: 'This nut sets no end play, or its pitch is not on record.' },
    ]);
  const seed = createHash('sha256').update(`play:${jobId}`).digest().readUInt32BE(0);
  const shows = dialShows(end, madeUpPlayMm(seed), now.pitchMm, turnedDeg);
  const noise = Date.now() % 1_000_000;
  return sse(standInIndicator(restMm + shows, noise, pauseMs / standInSpeed, repeatsMm).stream());
}
