/** Units a figure may carry. Lengths are mm, masses g, yarn lengths m, times min; `1` is a plain ratio. */
export type Unit = 'mm' | 'g' | 'm' | 'min' | '1' | 'stitches' | 'rows' | 'chains';

/**
 * Where a figure stands: `law` holds exactly, `prior` is a starting value until something is measured, `measured` was
 * taken from the thing or the fabric, `chosen` is the maker's wish.
 */
export type Kind = 'law' | 'prior' | 'measured' | 'chosen';

export interface Term {
  name: string;
  value: number;
  unit: Unit;
  sd?: number;
  kind: Kind;
  /** In a word: the tool, the record, or the formula. */
  from: string;
  /** How the term itself came about, where it was reckoned. */
  workings?: Workings;
}

export interface Workings {
  formula: string;
  terms: Term[];
}

/** A number that can answer "why?": its unit, its standard uncertainty in that unit, and how it came about. */
export interface Figure<U extends Unit = Unit> {
  value: number;
  unit: U;
  sd?: number;
  kind: Kind;
  workings: Workings;
}

/** A figure taken from the world; `from` names the tool or the record. */
export function measured<U extends Unit>(value: number, unit: U, sd: number, from: string): Figure<U> {
  return { value, unit, sd, kind: 'measured', workings: { formula: from, terms: [] } };
}

/** A starting value with its spread, to give way to a measurement. */
export function prior<U extends Unit>(value: number, unit: U, sd: number, from: string): Figure<U> {
  const figure: Figure<U> = { value, unit, kind: 'prior', workings: { formula: from, terms: [] } };
  if (sd > 0) figure.sd = sd;
  return figure;
}

/** A wish of the maker's, or a count decided on: exact. */
export function chosen<U extends Unit>(value: number, unit: U, from: string): Figure<U> {
  return { value, unit, kind: 'chosen', workings: { formula: from, terms: [] } };
}

/** Two figures of one unit added; figures of different units do not compile. Spreads add as independent ones. */
export function add<U extends Unit>(a: Figure<U>, b: Figure<NoInfer<U>>): Figure<U> {
  return derive(a.unit, 'a + b', { a, b }, (v) => v.a + v.b);
}

/**
 * Figures of one unit added up, each told by its name; independent spreads add in quadrature. As long as the list, where
 * `derive` would take its square.
 */
export function sum<U extends Unit>(
  unit: U,
  formula: string,
  parts: readonly (readonly [string, Figure<U>])[],
): Figure<U> {
  const square = parts.reduce((total, [, { sd = 0 }]) => total + sd * sd, 0);
  const widest = parts.reduce<Figure<U> | undefined>(
    (most, [, part]) => ((part.sd ?? 0) > (most?.sd ?? 0) ? part : most),
    undefined,
  );
  const terms = parts.map(([name, part]) => asTerm(name, part));
  return {
    value: parts.reduce((total, [, { value }]) => total + value, 0),
    unit,
    kind: widest?.kind ?? weakest(terms),
    workings: { formula, terms },
    ...(square > 0 ? { sd: Math.sqrt(square) } : {}),
  };
}

type Values<T> = { [K in keyof T]: number };

/**
 * A figure reckoned from others by any smooth formula.
 *
 * The spread is propagated to first order: each term is moved by its own sd and the changes are added in quadrature,
 * which treats terms as independent (law, for small spreads). The kind is that of the term which brings most of the
 * spread: a law worked on an estimate is still an estimate, and a rough thickness does not make a swatch a guess.
 *
 * @param formula as a person would write it, in the names of the terms
 */
export function derive<U extends Unit, T extends Record<string, Figure>>(
  unit: U,
  formula: string,
  terms: T,
  of: (values: Values<T>) => number,
): Figure<U> {
  const values = valuesOf(terms);
  const value = of(values);
  let square = 0;
  let most = 0;
  let kind: Kind | undefined;
  const told: Term[] = [];
  for (const name in terms) {
    const term = terms[name]!;
    told.push(asTerm(name, term));
    if (!term.sd) continue;
    values[name] = term.value + term.sd;
    const move = Math.abs(of(values) - value);
    values[name] = term.value;
    square += move * move;
    if (move > most) {
      most = move;
      kind = term.kind;
    }
  }
  const figure: Figure<U> = { value, unit, kind: kind ?? weakest(told), workings: { formula, terms: told } };
  if (square > 0) figure.sd = Math.sqrt(square);
  return figure;
}

/** The bare numbers of a formula's terms. */
export function valuesOf<T extends Record<string, Figure>>(terms: T): Values<T> {
  const values: Record<string, number> = {};
  for (const name in terms) values[name] = terms[name]!.value;
  return values as Values<T>;
}

/** A figure as a term of another's workings. */
export function asTerm(name: string, { value, unit, sd, kind, workings }: Figure): Term {
  const term: Term = { name, value, unit, kind, from: workings.formula };
  if (sd !== undefined) term.sd = sd;
  if (workings.terms.length > 0) term.workings = workings;
  return term;
}

const WEAKEST_FIRST: readonly Kind[] = ['prior', 'measured', 'chosen', 'law'];

/** Where no term brings a spread, the figure is of the least certain kind among them. */
function weakest(terms: readonly Term[]): Kind {
  return WEAKEST_FIRST.find((kind) => terms.some((term) => term.kind === kind)) ?? 'law';
}
