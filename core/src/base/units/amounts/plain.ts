import { singular, withUnit } from '../text';
import { parseNumber } from './number';
import { notUnderstood, understood, type Amount } from './reading';

/** A plain number of something, with its unit behind it or without. */
export const plainAmount = (unit: string): Amount => ({
  example: withUnit(12, unit, 0),
  read: (text) => {
    const line = text.trim();
    const said =
      [unit, singular(unit)].find((word) => word !== '' && line.toLowerCase().endsWith(word.toLowerCase())) ?? '';
    const read = parseNumber(line.slice(0, line.length - said.length));
    return read.ok ? understood(read.value) : notUnderstood(read.message.replace(/“.*?”/, `“${line}”`));
  },
  write: (value) => withUnit(value, unit, 3),
  echo: (value) => withUnit(value, unit, 3),
});
