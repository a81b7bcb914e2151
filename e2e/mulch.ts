import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** A Mulch of its own on loopback, with its own data, stopped by its process. */
export interface Running {
  url: string;
  process: ChildProcess;
  data: string;
  /** ends it at once, as a power cut would */
  kill(): Promise<void>;
  /** ends it and takes its data away */
  stop(): Promise<void>;
}

const gone = (child: ChildProcess) =>
  new Promise<void>((done) => {
    if (child.exitCode !== null || child.signalCode !== null) done();
    else child.once('exit', () => done());
  });

/** Starts a Mulch from the build; `data` takes up what an earlier one left. */
export async function startMulch(
  options: { demo?: boolean | 'years'; data?: string; port?: number; env?: Record<string, string> } = {},
): Promise<Running> {
  const data = options.data ?? mkdtempSync(path.join(tmpdir(), 'mulch-'));
  const child = spawn(process.execPath, ['scripts/serve.mjs'], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      HOST: '127.0.0.1',
      PORT: String(options.port ?? 0),
      MULCH_DATA: data,
      MULCH_DATABASE_URL: '',
      MULCH_LOG: 'warn',
      ...(options.demo ? { MULCH_DEMO: options.demo === 'years' ? 'years' : '1' } : {}),
      ...options.env,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const url = await new Promise<string>((ok, fail) => {
    let said = '';
    child.stderr?.on('data', (chunk) => {
      said += chunk;
      process.stderr.write(chunk);
    });
    child.stdout?.on('data', (chunk) => {
      said += chunk;
      const at = /(https?:\/\/\S+?)\/\s/.exec(said)?.[1];
      if (at) ok(at);
    });
    child.once('close', (code) => fail(new Error(`Mulch ended with ${code}: ${said}`)));
  });
  const end = async (signal: NodeJS.Signals) => {
    child.kill(signal);
    await gone(child);
  };
  return {
    url,
    process: child,
    data,
    kill: () => end('SIGKILL'),
    stop: async () => {
      await end('SIGTERM');
      rmSync(data, { recursive: true, force: true });
    },
  };
}
