import {
  atRadius,
  bestPlace,
  discOwn,
  discPlaces,
  type DiscPlace,
  fitRunout,
  type RunoutFit,
  type Tilt,
} from '../prove/index.ts';
import { cornerRecord, type JobNow, once } from './job-now.ts';
import type { JobState } from './state.ts';

/** A face as it was read, and what the readings say of it. */
export interface FaceRead {
  radiusMm: number;
  readings: readonly { deg: number; mm: number }[];
  fit: RunoutFit;
  turned: number;
}

/** What is known of hub and disc from their readings. */
export interface RunoutNow {
  hub?: FaceRead;
  disc?: FaceRead;
  /** What of the disc's reading is its own. */
  own?: Tilt;
  /** Every place of the disc on its studs, from the one it has now; none where nobody knows how many studs there are. */
  places?: DiscPlace[];
  best?: DiscPlace;
}

function faceRead(read: JobState['runout']['hub']): FaceRead | undefined {
  if (!read) return undefined;
  const readings = read.readings.map(([deg, mm]) => ({ deg, mm }));
  return { radiusMm: read.radiusMm, readings, fit: fitRunout(readings), turned: read.turned ?? 0 };
}

/** Hub and disc as they were last read, and where the disc would run truest. */
export const runoutOf = once((job: JobNow): RunoutNow => {
  const hub = faceRead(job.state.runout.hub);
  const disc = faceRead(job.state.runout.disc);
  if (!hub) return {};
  if (!disc) return { hub };
  const own = discOwn(disc.fit.tilt, hub.fit.tilt, hub.radiusMm, disc.radiusMm);
  const studs = cornerRecord(job)?.hub?.studs ?? 0;
  if (studs < 3) return { hub, disc, own };
  const places = discPlaces(own, atRadius(hub.fit.tilt, hub.radiusMm, disc.radiusMm), studs);
  return { hub, disc, own, places, best: bestPlace(places) };
});
