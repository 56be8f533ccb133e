import { unpaced } from './bench-clients.ts';
import { clear, demoIn, scratchFolder, startBuilt } from './built-server.ts';
const dir = scratchFolder(); demoIn(dir);
const server = await startBuilt(dir, process.env.PROF ? { NODE_OPTIONS: '--cpu-prof --cpu-prof-dir=/tmp/prof' } : {});
console.log(await unpaced(server.url, dir));
await server.stop(); clear(dir);
