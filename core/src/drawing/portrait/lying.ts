import type { Cloth } from '../parts';

/** What colour a part is in, to be taken over by another. */
export const hueOf = ({ hex, colour }: Cloth): Partial<Cloth> => ({
  ...(hex ? { hex } : {}),
  ...(colour ? { colour } : {}),
});

/** Rows of a piece that was drawn lying, as it stands. */
export function upright({ rows }: Cloth): Cloth['rows'] {
  return rows.stacked === 'x' ? { ...rows, stacked: 'y' } : rows;
}
