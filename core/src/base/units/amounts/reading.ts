/** What was understood of a typed text, all of it, or what is wrong with it and how to mend it. */
export type Reading<Value = number> = { ok: true; value: Value } | { ok: false; message: string };

/** A text that was understood whole. */
export const understood = <Value>(value: Value): Reading<Value> => ({ ok: true, value });
/** A text that was not, with what is wrong and its repair. */
export const notUnderstood = (message: string): { ok: false; message: string } => ({ ok: false, message });

/** A kind of amount: how it is read, how it is written back, and what a reader is told of what was typed. */
export interface Amount {
  /** Two or three ways to write it, for messages. */
  example: string;
  /** @returns the amount in the program's own unit */
  read: (text: string) => Reading;
  /** As it stands on the line when nothing is typed. `read` takes it back. */
  write: (value: number) => string;
  /** As it was understood, in words that show what was meant. */
  echo: (value: number) => string;
}
