import {
  type Figure,
  formatKnown,
  formatNumber,
  roundedAmount,
  term,
  withArticle,
  type LengthUnit,
  type Plan,
  type Schools,
  type Worked,
  yarnOf,
} from '@keep-snug/core';
import { duration } from '@/board/duration';
import { notionsText, yarnText } from '@/board/Supplies';
import { gaugeText } from '@/board/gaugeText';

/** How the pattern is read: which words, which unit. */
export interface Reading {
  terms: Schools['terms'];
  units: LengthUnit;
}

/** The same stitch is called otherwise on the other side: said once, at the head of every pattern. */
export function termsLine(terms: Schools['terms']): string {
  return terms === 'US'
    ? 'Written in US crochet terms (US single crochet = UK double crochet).'
    : 'Written in UK crochet terms.';
}

const capital = (text: string) => text.replace(/^./, (letter) => letter.toUpperCase());

/** What stands at the head of a pattern: what it fits, its size, what it takes, its gauge; each with its name. */
export function factsOf(plan: Plan, worked: Worked, { terms, units }: Reading): [name: string, text: string][] {
  const { hookMm, stitch } = plan.fabric;
  const yarn = yarnOf(plan.fabric);
  const { stitchWidth } = worked.fabric;
  const other = units === 'in' ? 'cm' : 'in';
  // a sheet goes to readers of either unit
  const known = ({ value, sd }: Figure) => `${formatKnown(value, sd, units)} (${formatKnown(value, sd, other)})`;
  const { width, height } = worked.outside;
  const colours = worked.supplies.byColour.map(({ name, grams }) => `${name} ${roundedAmount(grams)} g`);
  const together = worked.supplies.byYarn.map(({ name, grams }) => `${name} ${roundedAmount(grams)} g`);
  const estimated = stitchWidth.kind === 'prior' ? ', estimated: work a swatch first' : '';
  return [
    ['Fits', `${String(plan.thing.name ?? 'item')}, ${known(worked.thing.girth)} around; ${plan.fit.name}`],
    ['Size', `${known(width)} × ${known(height)}; inside ${known(worked.inside.girth)} around`],
    ['Yarn', `${yarn.name ?? 'yarn'}: ${yarnText(worked.supplies)}`],
    ...(together.length > 0 ? [['Held together', together.join(', ')] as [string, string]] : []),
    ...(colours.length > 0 ? [['By colour', colours.join(', ')] as [string, string]] : []),
    [
      capital(term('gauge', terms)),
      `${gaugeText(worked.fabric, units)} in ${term(stitch, terms)} with ${withArticle(`${formatNumber(hookMm, 2)} mm hook`)}${estimated}`,
    ],
    ['Notions', notionsText(worked.supplies.notions)],
    ['Time', `about ${duration(worked.supplies.time.value)}`],
    ...worked.pieces.map((piece): [string, string] => [
      piece.name,
      piece.times > 1 ? `${piece.summary}; make ${piece.times}` : piece.summary,
    ]),
  ];
}
