import { Problem } from './problem.ts';

/** Claims on a job's device: one tablet reads it at a time. Gives what lets go of it again. */
export function inUse(device: string): (jobId: string) => () => void {
  const held = new Set<string>();
  const title = `${device[0]?.toUpperCase()}${device.slice(1)} in use`;
  const reason = `Another tablet is reading this ${device}. One at a time.`;
  return (jobId) => {
    if (held.has(jobId))
      throw new Problem(409, title, reason, [{ field: device, reason: 'In use.' }]);
    held.add(jobId);
    return () => held.delete(jobId);
  };
}
