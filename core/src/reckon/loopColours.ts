import { mainColour, type FabricSpec } from '../craft/fabric';
import type { Border, Work } from '../piece';
import type { Piece, WorkStep } from '../shapes';
import { coloursOf } from './supplies';

/** The colour a piece's loop has after its last row; of the second of two its own. Nothing where there is one yarn. */
export type EndsIn = (piece: string) => string | undefined;

/** What each piece ends in, by its name and by that of its second, where anything of a plan is in a colour. */
export function endsIn(pieces: readonly Piece[], steps: readonly WorkStep[], spec: FabricSpec): EndsIn {
  const ends = new Map(pieces.map((piece) => [piece.id, coloursOf(piece, spec)(piece.rows)]));
  if (!isColoured(steps, [...ends.values()])) return () => undefined;
  const seconds = new Map(pieces.map(({ id, secondColour }) => [id, secondColour]));
  const main = mainColour(spec);
  return (name) => {
    const [id] = name.split('/') as [string];
    return (name === id ? undefined : seconds.get(id)) ?? ends.get(id) ?? main;
  };
}

const isColoured = (steps: readonly WorkStep[], ends: readonly (string | undefined)[]): boolean =>
  ends.some((colour) => colour !== undefined) ||
  steps.some(({ colour, does = [] }) => colour !== undefined || does.some((one) => 'colour' in one && one.colour));

/**
 * Steps with the colour of every loop: what goes on from one goes on in its colour, or another is drawn through it first
 * (law, handbook 4.4). What is joined anew says its own colour.
 */
export function inLoopColours(
  steps: readonly WorkStep[],
  pieces: readonly Piece[],
  spec: FabricSpec,
): readonly WorkStep[] {
  const endsOf = endsIn(pieces, steps, spec);
  if (pieces.every(({ id }) => endsOf(id) === undefined)) return steps;
  const loops = new Map(pieces.map(({ id }): [string, Loop] => [id, { own: endsOf(id), hangs: endsOf(id) }]));
  const joining: Loop = { own: undefined, hangs: undefined };
  return steps.map((step) => {
    if (!step.does) return step;
    const loop = step.after === undefined ? joining : loops.get(step.after)!;
    return { ...step, does: coloured(step.does, loop, { said: step.colour, main: mainColour(spec), endsOf }) };
  });
}

/** The loop on the hook: what the piece it belongs to ends in, and its colour; nothing where none is there. */
interface Loop {
  own: string | undefined;
  hangs: string | undefined;
}

/** What a step says it is worked in, what the plan is worked in on the whole, and what each piece ends in. */
interface Colours {
  said: string | undefined;
  main: string;
  endsOf: EndsIn;
}

function coloured(works: readonly Work[], loop: Loop, colours: Colours): Work[] {
  const { said, main, endsOf } = colours;
  return works.flatMap((work): Work[] => {
    switch (work.do) {
      case 'make':
        loop.own = loop.hangs = endsOf(work.piece);
        return [loop.own === undefined ? work : { ...work, endsIn: loop.own }];
      case 'again': {
        const second: Loop = { own: undefined, hangs: undefined };
        return [{ ...work, works: coloured(work.works, second, colours) }];
      }
      case 'fasten-off':
        loop.hangs = undefined;
        return [work];
      case 'border':
        return goneOn(work, loop, work.colour ?? said ?? (isAnew(work, loop) ? main : undefined), true);
      case 'free':
        return goneOn(work, loop, said ?? (work.onward ? undefined : main), work.onward === true);
      case 'sew':
        return [said === undefined ? work : { ...work, colour: said }];
      default:
        return [work];
    }
  });
}

/** Whether a border is joined with yarn of its own, not gone on with from a loop or worked with a tail that hangs there. */
const isAnew = ({ tail }: Border, loop: Loop): boolean => !tail && loop.hangs === undefined;

/** Work that takes the loop, if it is there, in its colour or in one that is drawn through it. */
function goneOn<T extends Extract<Work, { do: 'border' | 'free' }>>(
  work: T,
  loop: Loop,
  said: string | undefined,
  takesLoop: boolean,
): Work[] {
  const colour = said ?? (takesLoop && loop.hangs !== undefined ? loop.own : undefined);
  if (colour === undefined) return [work];
  const done: Work = { ...work, colour };
  if (!takesLoop || loop.hangs === undefined) {
    if (work.do === 'border') loop.hangs = colour;
    return [done];
  }
  const changes = loop.hangs !== colour;
  loop.hangs = colour;
  return changes ? [{ do: 'change', to: colour }, done] : [done];
}
