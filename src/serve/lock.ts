import { closeSync, openSync, readFileSync, rmSync, writeSync } from 'node:fs';
import { StartFault } from './fault.ts';

interface Holder {
  pid: number;
  address: string;
}

const isAlive = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (e) {
    return (e as NodeJS.ErrnoException).code === 'EPERM';
  }
};

function holderOf(file: string): Holder | undefined {
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as Holder;
  } catch {
    return undefined;
  }
}

/** Takes a data folder for this process alone; a second one is refused and told of the first. Gives what lets go of it. */
export function lockFolder(file: string, address: string): () => void {
  for (let attempt = 0; attempt < 2; attempt++) {
    try {
      const fd = openSync(file, 'wx');
      writeSync(fd, JSON.stringify({ pid: process.pid, address } satisfies Holder));
      closeSync(fd);
      return () => {
        if (holderOf(file)?.pid === process.pid) rmSync(file, { force: true });
      };
    } catch (e) {
      if ((e as NodeJS.ErrnoException).code !== 'EEXIST') throw e;
      const holder = holderOf(file);
      if (holder && holder.pid !== process.pid && isAlive(holder.pid))
        throw new StartFault(
          `This data folder is in use by process ${holder.pid} at ${holder.address}: stop that one first.`,
        );
      // Left behind by one that was killed.
      rmSync(file, { force: true });
    }
  }
  throw new StartFault(`The lock ${file} cannot be taken: another process takes it as well.`);
}
