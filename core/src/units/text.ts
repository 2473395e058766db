import { fixed } from './length';

/** A number for reading with at most `digits` decimals and no trailing zeros. */
export function formatNumber(value: number, digits = 1): string {
  return fixed(value, digits);
}

/** A signed number for reading: `+1.8`, `-3`, `0`. */
export function formatSigned(value: number, digits = 1): string {
  const text = formatNumber(value, digits);
  return value > 0 && text !== '0' ? `+${text}` : text;
}

/** `1 row`, `12 rows`: the count with its noun. */
export function plural(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}
