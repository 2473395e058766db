import { spawn, type ChildProcess } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('../', import.meta.url));

/** The program as one file, which starts at once. */
const PROGRAM = 'server/.cache/main.mjs';

/** The program in a process of its own that can be killed. */
export class ChildServer {
  private child: ChildProcess | null = null;
  /** What it has said of what went wrong. */
  said = '';
  url = '';

  constructor(
    private readonly file: string,
    private readonly program = PROGRAM,
    private readonly env: NodeJS.ProcessEnv = {},
  ) {}

  /** @throws with what it said where it did not start */
  async start(): Promise<void> {
    const script = this.program.endsWith('.ts') ? ['--import', 'tsx'] : [];
    const child = spawn(process.execPath, [...script, this.program], {
      cwd: ROOT,
      env: { ...process.env, PORT: '0', KEEP_SNUG_DEVICES: 'off', KEEP_SNUG_DATA: this.file, ...this.env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    this.child = child;
    this.said = '';
    child.stderr.on('data', (chunk: Buffer) => {
      this.said += chunk.toString();
    });
    this.url = await new Promise<string>((resolve, reject) => {
      child.stdout.on('data', (chunk: Buffer) => {
        const found = /http:\S+/.exec(chunk.toString());
        if (found) resolve(found[0]);
      });
      // its last words come with the streams’ end
      child.once('close', (code) => reject(new Error(`ended with ${code}: ${this.said.trim()}`)));
    });
  }

  get pid(): number {
    return this.child!.pid!;
  }

  /** Ends it without a warning, in the middle of whatever it does. */
  async kill(): Promise<void> {
    await this.ended('SIGKILL');
  }

  /** @returns with what code it ended */
  async stop(): Promise<number | null> {
    await this.ended('SIGTERM');
    return this.child?.exitCode ?? null;
  }

  private async ended(signal: NodeJS.Signals): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const exit = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await exit;
  }
}
