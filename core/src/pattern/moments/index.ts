import type { Piece } from '../../piece';
import type { Moment } from './definition';
import { growingCurls } from './growingCurls';
import { settles } from './settles';

/** Every piece of advice that is said at a course. A new one is a file of its own and a line here. */
export const MOMENTS: readonly Moment[] = [settles, growingCurls];

/** What is said at the courses of a piece, by course. */
export function adviceIn(piece: Piece): ReadonlyMap<number, string> {
  const said = new Map<number, string>();
  for (const { at, says } of MOMENTS) {
    const row = at(piece);
    const text = typeof says === 'string' ? says : says(piece);
    if (row !== undefined) said.set(row, [said.get(row), text].filter(Boolean).join(' '));
  }
  return said;
}
