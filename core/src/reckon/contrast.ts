import { capital } from '../base/units';
import { ALIKE_WITHIN, hexOf, lightness, mainColour } from '../craft/fabric';
import type { Advice } from '../base/figure';
import type { Plan } from '../plan/plan';
import { coloursOf } from './supplies';
import type { WorkedOut } from './types';

/** Two colours that meet, and by how much they differ in lightness. */
interface Neighbours {
  one: string;
  other: string;
  apart: number;
}

/** Colours of a plan that meet: of rows one after the other, and of what is worked on them. */
function neighboursOf(plan: Plan, { built, placed }: WorkedOut): Neighbours[] {
  const { palette, fabric: spec } = plan;
  const main = mainColour(spec);
  const met = new Map<string, readonly [string, string]>();
  const meet = (one: string, other: string) => {
    const pair = [one, other].sort().join('\n');
    if (one !== other && !met.has(pair)) met.set(pair, [one, other]);
  };
  for (const piece of built.pieces) {
    const colourOf = coloursOf(piece, spec);
    for (let row = 2; row <= piece.rows; row += 1) meet(colourOf(row - 1) ?? main, colourOf(row) ?? main);
    if (piece.secondColour) meet(main, piece.secondColour);
    if (piece.colour && built.pieces[0] !== piece) meet(built.pieces[0]!.colour ?? main, piece.colour);
  }
  for (const { steps, pieces = [] } of placed)
    for (const colour of [...steps.map((step) => step.colour), ...pieces.map((piece) => piece.colour)])
      if (colour) meet(built.pieces[0]!.colour ?? main, colour);
  return [...met.values()].flatMap(([one, other]) => {
    const [a, b] = [hexOf(palette, spec, one), hexOf(palette, spec, other)];
    return a && b ? [{ one, other, apart: Math.abs(lightness(a) - lightness(b)) }] : [];
  });
}

/** Neighbours that are as light as each other: who does not see their hues sees one colour (law of lightness; limit a prior). */
export function contrastAdvice(plan: Plan, out: WorkedOut): Advice[] {
  if (!plan.palette) return [];
  return neighboursOf(plan, out)
    .filter(({ apart }) => apart < ALIKE_WITHIN)
    .map(({ one, other }) => ({
      id: 'colours-alike',
      severity: 'advice',
      text: `${capital(one)} and ${other} are about as light as each other: in dim light, in grey, and to many eyes they look like one colour.`,
      repair: `Take a lighter or a darker colour for one of them, or put a row of a third between them.`,
      at: 'palette',
    }));
}
