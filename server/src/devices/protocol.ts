import type { Instrument, InstrumentKind } from '@keep-snug/core/documents';

/** What a line of `keep-snug.device/1` says, or why it says nothing. */
export type Said =
  | { is: 'hello'; kind: InstrumentKind; name: string }
  | { is: 'reading'; kind: InstrumentKind; value: number | null }
  | { is: 'fault'; reason: string };

/** Longer lines are no readings, bytes. */
export const LONGEST_LINE = 200;

/** What each kind of device sends, its unit and the most of it. */
const READS: Readonly<Record<InstrumentKind, { word: string; unit?: string; most?: number }>> = {
  calliper: { word: 'LEN', unit: 'mm', most: 10_000 },
  scale: { word: 'MASS', unit: 'g', most: 50_000 },
  clicker: { word: 'CLICK' },
};
const KINDS = Object.keys(READS) as InstrumentKind[];

const fault = (reason: string): Said => ({ is: 'fault', reason });

/** Reads one line, without its ending. */
export function readLine(line: string): Said {
  const [word, ...rest] = line.trim().split(/[ \t]+/);
  if (word === 'HELLO') return readHello(rest);
  const kind = KINDS.find((one) => READS[one].word === word);
  if (!kind) return fault(`unknown word; send HELLO, ${KINDS.map((one) => READS[one].word).join(', ')}`);
  const { unit, most } = READS[kind];
  if (!unit) return rest.length === 0 ? { is: 'reading', kind, value: null } : fault(`${word} stands alone`);
  const [amount = '', said] = rest;
  if (rest.length !== 2 || said !== unit || !/^\d{1,6}(\.\d{1,6})?$/.test(amount))
    return fault(`send ${word}, a number with a decimal point, and ${unit}`);
  const value = Number(amount);
  return value <= most! ? { is: 'reading', kind, value } : fault(`more than ${most} ${unit}`);
}

function readHello([kind = '', name = '', ...rest]: string[]): Said {
  if (!(KINDS as string[]).includes(kind)) return fault(`unknown device; it is one of ${KINDS.join(', ')}`);
  if (rest.length > 0 || !/^[\w.-]{1,40}$/.test(name))
    return fault('after the kind comes a name of 1 to 40 letters, digits, hyphens');
  return { is: 'hello', kind: kind as InstrumentKind, name };
}

/** Whether a device that called itself one kind may send a reading of another. */
export const isOwn = ({ kind }: Instrument, said: Extract<Said, { is: 'reading' }>): boolean => kind === said.kind;

export const wordOf = (kind: InstrumentKind): string => READS[kind].word;

const NEWLINE = 10;

/** Cuts what arrives into lines, however it was cut on its way; what has no end yet waits for it. */
export class LineCutter {
  private held: Buffer = Buffer.alloc(0);
  private skipping = false;

  /** The lines that are whole now; `null` for each that was too long or no UTF-8. */
  push(chunk: Buffer): (string | null)[] {
    const lines: (string | null)[] = [];
    let from = 0;
    for (let end = chunk.indexOf(NEWLINE); end !== -1; end = chunk.indexOf(NEWLINE, from)) {
      lines.push(this.finish(chunk.subarray(from, end)));
      from = end + 1;
    }
    this.keep(chunk.subarray(from));
    return lines;
  }

  private finish(end: Buffer): string | null {
    this.keep(end);
    const { held, skipping } = this;
    this.held = Buffer.alloc(0);
    this.skipping = false;
    return skipping ? null : decoded(held);
  }

  private keep(part: Buffer): void {
    if (this.skipping) return;
    if (this.held.length + part.length > LONGEST_LINE) {
      this.skipping = true;
      this.held = Buffer.alloc(0);
      return;
    }
    this.held = Buffer.concat([this.held, part]);
  }
}

function decoded(line: Buffer): string | null {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(line);
  } catch {
    return null;
  }
}
