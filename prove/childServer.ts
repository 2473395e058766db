import { spawn, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('../', import.meta.url));

/** The program as it is started by hand, in a process of its own that can be killed. */
export class ChildServer {
  private child: ChildProcess | null = null;
  url = '';

  constructor(private readonly file: string) {}

  async start(): Promise<void> {
    const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
      cwd: ROOT,
      env: { ...process.env, PORT: '0', KEEP_SNUG_DATA: this.file },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    this.url = await new Promise<string>((resolve, reject) => {
      child.stdout.on('data', (chunk: Buffer) => {
        const found = /http:\S+/.exec(chunk.toString());
        if (found) resolve(found[0]);
      });
      child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
    });
  }

  /** Ends it without a warning, in the middle of whatever it does. */
  async kill(): Promise<void> {
    await this.ended('SIGKILL');
  }

  async stop(): Promise<void> {
    await this.ended('SIGTERM');
  }

  private async ended(signal: NodeJS.Signals): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null) return;
    const exit = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await exit;
  }
}
