import { execFileSync } from 'node:child_process';

/** The server's worker is bundled before any test asks it for something. */
export default function setup(): void {
  execFileSync('node', ['scripts/build-server.mjs']);
}
