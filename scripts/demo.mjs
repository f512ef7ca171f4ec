// One command: installs what is missing, builds, loads the demo once, serves, and prints the address.
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { buildApplication, installPackages, root } from './setup.mjs';

installPackages();
await buildApplication();

const isFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer().once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
let port = Number(process.env.PORT ?? 4300);
while (!(await isFree(port))) port += 1;

const server = spawn('npx', ['next', 'start', '-H', '127.0.0.1', '-p', String(port)], {
  cwd: root,
  env: { ...process.env, YS_DEMO: '1', YS_HOME: root },
  stdio: ['ignore', 'ignore', 'inherit'],
});
const address = `http://127.0.0.1:${port}/`;
const stop = (signal) => server.kill(signal);
process.on('SIGINT', () => stop('SIGINT'));
process.on('SIGTERM', () => stop('SIGTERM'));
server.on('exit', (code) => process.exit(code ?? 0));

for (let i = 0; i < 240; i += 1) {
  const isUp = await fetch(`${address}api/jobs`).then(
    (answer) => answer.ok,
    () => false,
  );
  if (isUp) {
    console.log(`Yellow Sheet is at ${address} (stop with Ctrl+C; your jobs stay in data/)`);
    break;
  }
  await new Promise((resolve) => setTimeout(resolve, 250));
}
