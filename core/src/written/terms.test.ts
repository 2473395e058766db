import fc from 'fast-check';
import { TERN_POINT } from '../demo';
import { PlanProblem } from '../base/figure';
import type { Plan } from '../plan/plan';
import { reckon } from '../reckon/reckon';
import { SHAPES } from '../shapes';
import { anyPlanOf, reckonOrRefuse } from '../shapes/fixtures/anyPlan';
import { linksIn } from '../pattern/techniques';
import { writtenPattern } from './pattern';
import { patternText } from './text';
import type { Worked } from '../reckon/types';

const PLANS = Object.values(TERN_POINT.plans).map((plan) => [plan.title, plan] as const);

/** Words of the craft that a beginner may stop at. */
const CRAFT =
  /\b(single crochet|half double crochet|double crochet|treble|slip stitch(es)?|chains?|ring|spike|linked|crossed|whip stitch|mattress stitch|backstitch|fasten off|weave in|tails?|stitch markers?|markers?|row ends?|back loop|turning chain|unpick|pull (it |them )?out|gauge|tension|skip(ped)?|miss(ed)?|seams?|twist(ed)?|tassel|strands?|knot|corners?|edgings?|both layers|fold(s|ed)?|hem|right side out|wrong sides|gaps?|spaces?|post|rotate|ridges?|cups|ruffles|sew|sewn|sewing|buttons?|zip|snaps?|magnets?|cords?|lining|ties?|turn|needle)\b/gi;

/** What is a word of the craft only where it is not something else. */
const ELSE = /twists? hard|twist in|\bturn less\b|turned? in\b/gi;

const inTerms = (plan: Plan, terms: 'US' | 'UK'): Plan => ({ ...plan, schools: { ...plan.schools, terms } });

/** Everything steps, checks and advice say. */
const textsOf = ({ steps, advice }: Worked): string[] => [
  ...steps.flatMap(({ text, note, check }) => [text, note ?? '', check?.look ?? '', check?.repair ?? '']),
  ...advice.flatMap(({ text, repair }) => [text, repair]),
];

const hidden = (found: string) => '-'.repeat(found.length);

/** Craft words of a text that lead nowhere. */
function unlinked(text: string, terms: 'US' | 'UK'): string[] {
  let at = 0;
  const linked = linksIn(text, terms).flatMap(({ text: part, technique }) => {
    const from = at;
    at += part.length;
    return technique ? [[from, at] as const] : [];
  });
  // what stands in quotes is a name
  const plain = text.replace(ELSE, hidden).replace(/“[^”]*”/g, hidden);
  return [...plain.matchAll(CRAFT)].flatMap((found) => {
    const [from, to] = [found.index, found.index + found[0].length];
    return linked.some(([a, b]) => a < to && b > from) ? [] : [`${found[0]}: ${text}`];
  });
}

describe.each(['US', 'UK'] as const)('in %s', (terms) => {
  it.each(PLANS)('every craft word of %s can be opened', (_title, plan) => {
    expect([...new Set(textsOf(reckon(inTerms(plan, terms))).flatMap((text) => unlinked(text, terms)))]).toEqual([]);
  });
});

it('every craft word of any plan can be opened, whatever is fitted to it', () => {
  fc.assert(
    fc.property(fc.constantFrom(...SHAPES.map(({ id }) => id)).chain(anyPlanOf), (plan) => {
      const worked = reckonOrRefuse(inTerms(plan, 'US'));
      if (worked instanceof PlanProblem) return;
      expect(textsOf(worked).flatMap((text) => unlinked(text, 'US'))).toEqual([]);
    }),
    { numRuns: 150 },
  );
});

const US_ONLY =
  /single crochet|half double|\bskip(ped)?\b|\bgauge\b|\byarn over\b|\bhdc\b|\bsl st\b|\bsc\b|worsted|bulky/i;
const UK_ONLY = /\bmiss(ed)?\b|\btension\b|half treble|\bhtr\b|\bdtr\b|double treble|\baran\b|chunky/i;

describe('a pattern is of one language in either voice', () => {
  it.each(PLANS)('%s', (_title, plan) => {
    for (const voice of ['full', 'short'] as const) {
      const said = (terms: 'US' | 'UK') => {
        const own = inTerms(plan, terms);
        const { terms: head, ...rest } = writtenPattern(own, reckon(own), { terms, units: 'mm', voice });
        expect(head).toContain(terms);
        return JSON.stringify(rest);
      };
      expect(said('UK')).not.toMatch(US_ONLY);
      expect(said('US')).not.toMatch(UK_ONLY);
    }
  });
});

describe('nothing that is answered holds a token', () => {
  const TOKEN = /\{[a-z][\w-]*(:[^{}]*)?\}/i;

  it.each(PLANS)('%s', (_title, plan) => {
    for (const terms of ['US', 'UK'] as const) {
      const own = inTerms({ ...plan, schools: { ...plan.schools, units: 'in' } }, terms);
      const worked = reckon(own);
      const strings: string[] = [];
      JSON.stringify(worked, (_key, value: unknown) => {
        if (typeof value === 'string') strings.push(value);
        return value;
      });
      expect(strings.filter((text) => TOKEN.test(text))).toEqual([]);
      for (const voice of ['full', 'short'] as const)
        expect(patternText(writtenPattern(own, worked, { terms, units: 'in', voice }))).not.toMatch(TOKEN);
    }
  });
});
