import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { createRequire } from 'node:module';
import { createServer } from 'node:net';
import { join } from 'node:path';

/** A port that nobody listens on. */
export async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const address = probe.address();
  probe.close();
  if (address === null || typeof address === 'string') throw new Error('There is no free port.');
  return address.port;
}

const running = new Set<ChildProcess>();

/** A built server of a test’s own. It ends with the test, however that ends. */
export class OwnServer {
  private leash: ChildProcess | undefined;
  /** The process that serves. */
  pid = 0;

  private constructor(
    readonly port: number,
    private readonly env: Readonly<Record<string, string>>,
    private readonly quiet: boolean,
  ) {}

  /** @param quiet what it says of errors is not passed on */
  static async on(env: Readonly<Record<string, string>>, quiet = false): Promise<OwnServer> {
    const server = new OwnServer(await freePort(), env, quiet);
    await server.start();
    return server;
  }

  /** One that was begun, and may not answer yet. */
  static async begun(env: Readonly<Record<string, string>>, quiet = false): Promise<OwnServer> {
    const server = new OwnServer(await freePort(), env, quiet);
    await server.start(false);
    return server;
  }

  get base(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Starts it, and waits until it answers or has ended. @param waits false: until it was begun only */
  async start(waits = true): Promise<void> {
    const next = createRequire(import.meta.url).resolve('next/dist/bin/next');
    const program = [
      process.execPath,
      next,
      'start',
      '-H',
      '127.0.0.1',
      '-p',
      String(this.port),
      '--keepAliveTimeout',
      '600000',
    ];
    const leash = spawn(process.execPath, [join(import.meta.dirname, 'leash.mjs'), ...program], {
      env: { ...process.env, YS_HOME: process.cwd(), ...this.env },
      stdio: ['pipe', 'pipe', this.quiet ? 'ignore' : 'inherit'],
    });
    this.leash = leash;
    leash.stdout.on('data', (data: Buffer) => (this.pid = Number(data.toString())));
    running.add(leash);
    leash.on('exit', () => running.delete(leash));
    if (!waits) return;
    const isUp = () =>
      fetch(`${this.base}/api/jobs`).then(
        (answer) => answer.ok,
        () => false,
      );
    while (!(await isUp())) {
      if (leash.exitCode !== null) throw new Error('The server ended before it answered.');
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  }

  /** SIGKILL, in the middle of whatever it does. */
  async kill(): Promise<void> {
    const { leash } = this;
    if (!leash || leash.exitCode !== null) return;
    const ended = once(leash, 'exit');
    leash.stdin?.destroy();
    await ended;
  }
}

/** Ends every server that is still there; for after each test. */
export async function endServers(): Promise<void> {
  await Promise.all(
    [...running].map(async (leash) => {
      const ended = once(leash, 'exit');
      leash.stdin?.destroy();
      await ended;
    }),
  );
}
