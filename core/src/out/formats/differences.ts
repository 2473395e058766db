import { LONGEST_MM, capital, formatLength, type LengthUnit } from '../../base/units';

/** A place at which two versions of a document differ, as it is told. */
interface Difference {
  path: string;
  /** The place in words. */
  where: string;
  mine: string;
  theirs: string;
}

const NOTHING = 'nothing';

/**
 * Where two versions of a document differ, place by place, in words.
 *
 * @param most so many are listed; whoever wants all of them opens both
 */
export function differencesOf(mine: unknown, theirs: unknown, units: LengthUnit, most = 12): Difference[] {
  const [own, other] = [leaves(mine), leaves(theirs)];
  const paths = [...new Set([...own.keys(), ...other.keys()])];
  const say = (path: string, value: unknown) => said(path, value, units);
  return paths
    .filter((path) => own.get(path) !== other.get(path))
    .slice(0, most)
    .map((path) => ({
      path,
      where: whereOf(path),
      mine: say(path, own.get(path)),
      theirs: say(path, other.get(path)),
    }));
}

function leaves(value: unknown, path = '', found = new Map<string, unknown>()): Map<string, unknown> {
  if (typeof value !== 'object' || value === null) return value === undefined ? found : found.set(path, value);
  for (const [key, one] of Object.entries(value))
    leaves(one, Array.isArray(value) ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`, found);
  return found;
}

/** As the hours of a week are kept. */
const WEEK = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];

/** `thing.tools[1].grip.mm` as `Thing, tools 2, grip`; a fit is its name, and what a kind is of needs no word for it. */
const whereOf = (path: string): string =>
  capital(
    path
      .replace(/^week\[(\d)\]$/, (_, day: string) => WEEK[Number(day)]!)
      .replace(/(?<=\w)\.kind$|(?<=^fit)\.name$/, '')
      .replace(/\[(\d+)\]/g, (_, index: string) => ` ${Number(index) + 1}`)
      .replace(/\.mm$/, '')
      .split('.')
      .map((key) => key.replace(/(?<=[a-z])(Mm|G)$/, '').replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`))
      .join(', '),
  );

function said(path: string, value: unknown, units: LengthUnit): string {
  if (value === undefined || value === '') return NOTHING;
  if (typeof value === 'number' && /(^|\.)mm$|Mm$/.test(path) && value <= LONGEST_MM) return formatLength(value, units);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return String(value).slice(0, 120);
}
