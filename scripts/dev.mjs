// The development server, with the demo’s data in data/.
import { installPackages, root, run } from './setup.mjs';

installPackages();
run(process.execPath, ['scripts/prepare-public.mjs']);
const { buildCli } = await import('./build-cli.mjs');
await buildCli();
run('npx', ['next', 'dev', '-H', '127.0.0.1', '-p', process.env.PORT ?? '4300'], {
  env: { ...process.env, YS_DEMO: '1', YS_HOME: root },
});
