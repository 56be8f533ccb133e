import { spawn } from 'node:child_process';
import { unpaced } from './bench-clients.ts';
import { clear, demoIn, scratchFolder, freePort } from './built-server.ts';
const dir = scratchFolder(); demoIn(dir);
const port = await freePort();
const child = spawn('node', ['--cpu-prof', '--cpu-prof-dir=/tmp/prof', 'dist/serve.mjs'], { env: { ...process.env, DATA_DIR: dir, HOST: '127.0.0.1', PORT: String(port), LOG_LEVEL: 'silent' }, stdio: 'inherit' });
await new Promise((r) => setTimeout(r, 5000));
console.log(await unpaced(`http://127.0.0.1:${port}`, dir));
child.kill('SIGTERM'); await new Promise((r) => child.once('exit', r)); clear(dir);
