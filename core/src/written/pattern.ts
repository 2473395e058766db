import { stitchPattern, yarnOf, CATEGORIES } from '../craft/fabric';
import { measured, type Figure } from '../base/figure';
import { COUNTED_WHERE_SAID, DEFAULT_SCHOOLS, term, UNCOUNTED, wordText, type Schools, type Step } from '../pattern';
import type { Plan } from '../plan/plan';
import { sectionWord } from '../drawing';
import { LEVELS, techniquesIn } from '../pattern/techniques';
import { listed, capital, formatKnown, formatNumber, plural, withArticle, type LengthUnit } from '../base/units';
import { workThing, type WorkedThing } from '../craft/things';
import { coloursText, duration, gramsUp, notionsText, yarnText } from './amounts';
import { gaugeText } from './gauge';
import { abbreviationsIn, specialIn, type Abbreviation, type SpecialStitch } from './glossary';
import { hookSize } from './hookSizes';
import { linesOf, type WrittenCheck, type WrittenLine } from './lines';
import { toldStep, type Voice } from './told';
import type { Worked } from '../reckon/types';

/** Lines of one section, each with its checks where they are looked at. */
export interface WrittenSection {
  id: string;
  name: string;
  lines: WrittenLine[];
}

/** A pattern as its readers know it, as data: to be shown, copied, printed or saved. */
export interface WrittenPattern {
  title: string;
  /** Which language of the craft it is written in. */
  terms: string;
  facts: { name: string; text: string }[];
  abbreviations: Abbreviation[];
  special: SpecialStitch[];
  notes: string[];
  sections: WrittenSection[];
  safety: string[];
  made: string;
}

export interface Reading extends Pick<Schools, 'terms' | 'units'> {
  voice: Voice;
  /** When it is read, as it is to stand at its end; nothing where nobody says. */
  on?: string;
}

type Reads = Reading & Pick<Schools, 'ring' | 'hand' | 'rounds' | 'turningChainCounts'>;

/**
 * The written pattern of a worked plan, in one of two voices: the same steps, numbers and counts in both.
 *
 * @param worked the plan reckoned in the reader’s terms and unit
 * @source handbook 14, WORDING 4 to 6
 */
export function writtenPattern(plan: Plan, worked: Worked, reading: Reading): WrittenPattern {
  const reads: Reads = { ...DEFAULT_SCHOOLS, ...plan.schools, ...reading };
  const sections = sectionsOf(worked, reads).map(saidOnce(notesOf(worked, reads)));
  const lines = sections.flatMap((section) => section.lines);
  const texts = lines.flatMap(({ text, note, count, label }) => [label, text, note ?? '', count ?? '']);
  const special = specialIn(
    worked.steps.map(({ text }) => text),
    reads.voice,
    reads,
  );
  return {
    title: worked.title,
    terms: termsLine(reads.terms),
    facts: factsOf(plan, worked, reads),
    abbreviations: abbreviationsIn([...texts, ...special.map(({ text }) => text)], reads),
    special,
    notes: notesOf(worked, reads),
    sections,
    safety: worked.cautions.map(({ text }) => text),
    made: ['Made with Keep Snug', ...(reading.on ? [reading.on] : []), plan.format].join(', ') + '.',
  };
}

/** The same stitch is called otherwise on the other side: said once, at the head of every pattern. */
function termsLine(terms: Schools['terms']): string {
  return terms === 'US'
    ? 'Written in US crochet terms (US single crochet = UK double crochet).'
    : 'Written in UK crochet terms (UK double crochet = US single crochet).';
}

/** What holds throughout is said at the head, and not again where each piece begins. */
function saidOnce(notes: readonly string[]): (section: WrittenSection) => WrittenSection {
  if (!notes.some((note) => note === NONE_COUNT || note === SOME_COUNT)) return (section) => section;
  return (section) => ({
    ...section,
    lines: section.lines.map((line) =>
      line.note === UNCOUNTED || line.note === COUNTED_WHERE_SAID ? { ...line, note: null } : line,
    ),
  });
}

const SOME_COUNT = 'The chains that begin a row or round count as a stitch only where it says so.';
const NONE_COUNT = 'The chains that begin a row or round do not count as a stitch.';

/** Steps in working order, those that follow each other in one section under its heading. */
function groupsOf({ steps }: Pick<Worked, 'steps'>): { name: string; steps: Step[] }[] {
  const groups: { name: string; steps: Step[] }[] = [];
  steps.forEach((step, index) => {
    const before = steps[index - 1];
    if (before?.section === step.section && before.pieceName === step.pieceName) return groups.at(-1)!.steps.push(step);
    return groups.push({ name: headingOf(step), steps: [step] });
  });
  return groups;
}

/** Piece and section; what is made more than once, or has its section’s name, is called by the piece alone. */
function headingOf({ pieceName, section }: Step): string {
  const name = sectionWord(section);
  if (!pieceName) return capital(name);
  if (pieceName.toLowerCase() === name || (pieceName.includes('(make ') && section === 'front')) return pieceName;
  return `${pieceName}: ${name}`;
}

function sectionsOf(worked: Worked, reads: Reads): WrittenSection[] {
  const told = new Map<string, Map<string, number>>();
  const repaired = new Set<string>();
  const groups = groupsOf(worked);
  return groups.map(({ name, steps }, at) => {
    const { piece } = steps[0]!;
    if (!told.has(piece)) told.set(piece, new Map());
    const looked = new Set<string>();
    const lines = linesOf(steps, reads.voice, reads, {
      before: told.get(piece)!,
      checks: (run) => checksOf(run, looked, repaired),
      turnsNext: groups[at + 1]?.steps[0]!.text.startsWith('Turn.') ?? false,
    });
    return { id: steps[0]!.id, name, lines };
  });
}

/**
 * The checks of one line, before it and after; two seams that are checked alike are told of once in a section, and what to do is
 * told the first time.
 *
 * @param told what was looked at in the section already, added to
 * @param repaired what was told to do already, added to
 */
function checksOf(
  run: readonly Step[],
  told: Set<string>,
  repaired: Set<string>,
): Pick<WrittenLine, 'before' | 'after'> {
  const checks = { before: [] as WrittenCheck[], after: [] as WrittenCheck[] };
  for (const { check, row, kind } of run) {
    if (!check || told.has(check.look)) continue;
    told.add(check.look);
    const known = repaired.has(check.repair);
    repaired.add(check.repair);
    const isWithin = row !== null && row !== run.at(-1)!.row;
    checks[check.before ? 'before' : 'after'].push({
      at: isWithin ? `${kind === 'round' ? 'Round' : 'Row'} ${row}` : '',
      look: check.look,
      repair: known ? null : check.repair,
    });
  }
  return checks;
}

/** What stands at the head: what it fits, its size, what it takes, its gauge; each with its name. */
function factsOf(plan: Plan, worked: Worked, reads: Reads): WrittenPattern['facts'] {
  const { terms, units } = reads;
  const { width, height } = worked.outside;
  const known = bothUnits(units);
  const { supplies } = worked;
  const { ballGrams } = yarnOf(plan.fabric);
  const together = supplies.byYarn.map(({ name, grams }) => `${name} ${gramsUp(grams)} g`);
  const thing = workThing(plan.thing);
  const fact = (name: string, text: string) => ({ name, text });
  const oneInside = thing.profile === 'flat' || thing.profile === 'round';
  return [
    fact('Level', levelOf(worked, terms)),
    fact(
      'Finished size',
      `about ${known(width)} × ${known(height)}${oneInside ? `; inside ${known(worked.inside.girth)} around` : ''}`,
    ),
    fact('Fits', fitsText(plan, thing, known)),
    fact('Yarn', `${yarnNamed(plan, terms)}: ${yarnText(supplies, ballGrams)}`),
    ...(together.length > 0 ? [fact('Held together', together.join(', '))] : []),
    ...(supplies.byColour.length > 0 ? [fact('By colour', coloursText(supplies, ballGrams))] : []),
    ...repeatFact(plan, known),
    fact('Hook', `${hookSize(plan.fabric.hookMm, terms)}, or the size that gives the ${term('gauge', terms)}`),
    fact('Notions', toHave(worked)),
    gaugeFact(worked, reads),
    ...multipleOf(plan, worked),
    fact('Time', `about ${duration(supplies.time.value)}`),
    ...worked.pieces.map((piece) =>
      fact(piece.name, piece.times > 1 ? `${piece.summary}; make ${piece.times}` : piece.summary),
    ),
  ];
}

/** The colours of a yarn that repeats, in the order they come off the ball, and what they are together. */
function repeatFact({ fabric }: Plan, known: (figure: Figure) => string): WrittenPattern['facts'] {
  const runs = yarnOf(fabric).runs ?? [];
  if (runs.length === 0) return [];
  const counted = runs.flatMap((run) => ('stitches' in run ? run.stitches : []));
  const told = runs.map((run) =>
    'stitches' in run
      ? `${run.name} ${plural(run.stitches, 'stitch', 'stitches')}`
      : `${run.name} ${known(measured(run.mm, 'mm', 1, 'measured'))}`,
  );
  const sum = counted.reduce((all, one) => all + one, 0);
  const whole = counted.length === runs.length ? `; ${plural(sum, 'stitch', 'stitches')} in all, then again` : '';
  return [{ name: 'Colours as they come', text: `${listed(told)}${whole}` }];
}

/** What it is for: one thing with its sizes, several by their names, a bag by what it is meant for. */
function fitsText({ thing: spec, fit }: Plan, thing: WorkedThing, known: (figure: Figure) => string): string {
  const name = String(spec.name ?? 'item');
  if (thing.profile === 'given') return name;
  if (thing.wants) return `${namesIn(thing.wants)}; ${fit.name}`;
  const sizes = [thing.width, thing.height, thing.depth].filter(({ value }) => value > 0).map(known);
  return `${name}, ${sizes.join(' × ')}, ${known(thing.girth)} around; ${fit.name}`;
}

/** Names as they follow each other, those alike with how many there are. */
function namesIn(wants: readonly { name: string }[]): string {
  const counts = new Map<string, number>();
  for (const { name } of wants) counts.set(name, (counts.get(name) ?? 0) + 1);
  return listed(
    [...counts].map(([name, count]) => {
      if (count === 1) return name;
      if (/\d$/.test(name)) return `${count} of ${name}`;
      return /s$/.test(name) ? `${count} ${name}` : `${count} ${name}s`;
    }),
  );
}

/** What its steps ask for that nobody has at hand by chance, by the word they ask with. */
const ASKED_FOR: readonly (readonly [RegExp, string])[] = [
  [/\bpins?\b/i, 'pins'],
  [/\bcard\b/i, 'a piece of card'],
];

/** All that is needed besides yarn and hook. */
function toHave({ supplies, steps }: Worked): string {
  const said = steps.map(({ text, check }) => `${text} ${check?.repair ?? ''}`).join(' ');
  const asked = ASKED_FOR.filter(([word]) => word.test(said)).map(([, name]) => name);
  const notions = notionsText(supplies.notions.filter(({ name }) => name !== 'hook'));
  return [notions, ...asked, 'scissors', 'tape measure'].join(', ');
}

/** A sheet goes to readers of either unit. */
function bothUnits(units: LengthUnit): (figure: Figure) => string {
  const other = units === 'in' ? 'cm' : 'in';
  return ({ value, sd }) => `${formatKnown(value, sd, units)} (${formatKnown(value, sd, other)})`;
}

function yarnNamed(plan: Plan, terms: Schools['terms']): string {
  const yarn = yarnOf(plan.fabric);
  const category = CATEGORIES.find(({ id }) => id === yarn.category);
  const kind = [
    category ? `${category.name[terms]} (${category.id})` : '',
    yarn.fibre ?? '',
    yarn.metresPer100g ? `${formatNumber(yarn.metresPer100g)} m per 100 g` : '',
  ].filter(Boolean);
  return kind.length > 0 ? `${yarn.name ?? 'yarn'} (${kind.join(', ')})` : (yarn.name ?? 'yarn');
}

function gaugeFact({ gauges }: Worked, { terms, units }: Reads): { name: string; text: string } {
  const word = term('gauge', terms);
  const used = gauges.filter(({ unused }) => !unused);
  const [own] = used.length > 0 ? used : gauges;
  const adjust =
    own?.stitchWidth.kind === 'prior'
      ? 'Estimated: work a swatch first.'
      : 'Use a larger hook if you get more stitches, a smaller one if you get fewer.';
  const told = (used.length > 0 ? used : gauges).map((one) => {
    const hook = withArticle(`${formatNumber(one.hookMm, 2)} mm hook`);
    return `${gaugeText(one, units)} in ${term(one.stitch, terms)} with ${hook}`;
  });
  return { name: capital(word), text: `${capital(told.join('; '))}. ${adjust}` };
}

/** Which counts the stitch pattern can be worked over, where not over any. */
function multipleOf(plan: Plan, worked: Worked): WrittenPattern['facts'] {
  const [main] = worked.pieces as [Worked['pieces'][number]];
  const stitches = main.bands ? main.bands.map(({ stitch }) => stitch) : [plan.fabric.stitch];
  const told = stitches.flatMap((stitch) => {
    const { [main.worked]: obeyed } = stitchPattern(stitch, plan.fabric.pattern);
    const { repeat, edge } = obeyed;
    if (repeat === 1 && edge === 0) return [];
    return [edge > 0 ? `a multiple of ${repeat}, plus ${edge}` : `a multiple of ${repeat}`];
  });
  return told.length === 0 ? [] : [{ name: 'Multiple', text: [...new Set(told)].join('; ') }];
}

/** How hard it is, by the hardest of what is used in it, and since what (WORDING 4.1). */
function levelOf(worked: Worked, terms: Schools['terms']): string {
  // what only edges it is joined too, and makes no piece in rounds
  const inRounds = worked.steps.some(({ kind }) => kind === 'round');
  const used = techniquesIn(
    worked.steps.map(({ text }) => text),
    terms,
  )
    .filter(({ family }) => inRounds || family !== 'course')
    .flatMap(({ level }) => level ?? []);
  const hardest = [...LEVELS].reverse().find((one) => used.some(({ is }) => is === one));
  if (!hardest) return 'Beginner: chains and one stitch';
  const since = [...new Set(used.filter(({ is }) => is === hardest).map((one) => one.since))];
  return `${capital(hardest)}: ${listed(since)}`;
}

/** What holds throughout: how it is worked, what counts, which side, how repeats are written. */
function notesOf(worked: Worked, reads: Reads): string[] {
  const { steps } = worked;
  const said = steps.map((step) => toldStep(step, reads.voice, reads).text).join('\n');
  const rounds = steps.some(({ kind }) => kind === 'round');
  const rows = steps.some(({ kind }) => kind === 'row');
  const chains = steps.flatMap(({ work }) => work?.filter((one) => one.do === 'turning-chain') ?? []);
  const counts = chains.some((one) => one.do === 'turning-chain' && one.counts);
  return [
    rows && rounds
      ? 'Worked partly in rows, partly in rounds.'
      : rounds
        ? 'Worked in the round.'
        : 'Worked flat, in rows.',
    ...roundsNote(steps),
    ...(chains.length > 0 ? [counts ? SOME_COUNT : NONE_COUNT] : []),
    ...signsIn(said),
    ...(reads.hand === 'left' ? ['Written for the hook in the left hand: sides are named as you see them.'] : []),
    ...finishing(worked, reads),
  ];
}

/** How rounds end, as far as they all end so. */
function roundsNote(steps: readonly Step[]): string[] {
  const rounds = steps.filter(({ kind, work }) => kind === 'round' && work);
  if (rounds.length === 0) return [];
  const joined = rounds.filter(({ work }) => work!.some((one) => one.do === 'join' || one.do === 'close-loop'));
  if (joined.length === rounds.length) return ['Each round is joined.'];
  if (joined.length === 0) return ['Rounds run on in a spiral; they are not joined.'];
  return ['Some rounds are joined, and say so; the others run on in a spiral.'];
}

/** The signs that stand in the rows, each with what it means. */
function signsIn(said: string): string[] {
  const signs = [
    /\[/.test(said) ? 'brackets [ ] are worked as often as stated' : '',
    /\*/.test(said) ? '* to ; as often as fits' : '',
    /\((?=[^)]*\b(?:chain|crochet|ch|sc|hdc|dc|tr|htr)\b)/.test(said)
      ? 'parentheses ( ) hold what goes into one place'
      : '',
  ].filter(Boolean);
  return signs.length > 0 ? [`${capital(signs.join('; '))}.`] : [];
}

const FINISH = { washed: 'Wash and dry', blocked: 'Block' } as const;

/** Only what was done to a swatch that was measured is to be done to its piece. */
const finishing = ({ fabric: { finishedAs } }: Worked, reads: Reads): string[] =>
  finishedAs
    ? [wordText(`${FINISH[finishedAs]} the piece as you did the swatch the {gauge} was taken on.`, reads)]
    : [];
