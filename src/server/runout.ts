import { createHash } from 'node:crypto';
import { cornerRecord } from '../core/job/index.ts';
import { madeUpFaces, repeatsMm, showsAt } from '../core/standins/runout.ts';
import { standInIndicator } from '../devices/indicator.ts';
import { jobView } from './job-record.ts';
import { invalid } from './problem.ts';
import { sse, standInSpeed } from './streams.ts';

/** Where the made-up indicator stands before it is set to nought, mm. */
const restMm = 5;
/** How much farther out it stands on the disc than on the flange. */
const ratio = 1.9;
const pauseMs = 60;

/** One reading of the stand-in indicator on a face, as server-sent events until it stands still. */
export async function runoutStream(
  jobId: string,
  face: string,
  deg: string,
  turned: string,
): Promise<Response> {
  if (face !== 'hub' && face !== 'disc') throw invalid([{ field: 'face', reason: 'hub or disc.' }]);
  const [at, holes] = [Number(deg), Number(turned)];
  if (!(at >= 0 && at < 360)) throw invalid([{ field: 'deg', reason: 'From 0 and under 360.' }]);
  if (!Number.isInteger(holes) || holes < 0 || holes > 20)
    throw invalid([{ field: 'turned', reason: 'Holes: a whole number from 0 to 20.' }]);
  const view = await jobView(jobId);
  const studs = cornerRecord(view)?.hub?.studs ?? 5;
  // The same hub and disc for as long as the job lives.
  const seed = createHash('sha256').update(jobId).digest().readUInt32BE(0);
  const shows = showsAt(madeUpFaces(seed), face, at, { ratio, turnedDeg: (holes * 360) / studs });
  const noise = Date.now() % 1_000_000;
  return sse(standInIndicator(restMm + shows, noise, pauseMs / standInSpeed, repeatsMm).stream());
}
