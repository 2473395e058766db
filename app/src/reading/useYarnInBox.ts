import { type YarnSpec } from '@keep-snug/core';
import { useShelf } from '@/data/library';

/** The yarn of the box that a plan is worked in, with its id; undefined where it is none of them. */
export function useYarnInBox(yarn: YarnSpec): { id: string; name: string } | undefined {
  const found = useShelf('yarns').find(([, { body }]) => same(itself(body.yarn), itself(yarn)));
  return found && { id: found[0], name: found[1].body.name };
}

/** How its colours repeat is told of it in a plan: it stays the yarn it is. */
function itself({ runs: _runs, ...yarn }: YarnSpec): YarnSpec {
  return unweighed(yarn);
}

/** What there is of a yarn changes as it is used; the yarn stays the same one. */
export function unweighed({ gramsLeft: _left, strands: _strands, ...yarn }: YarnSpec): YarnSpec {
  return yarn;
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
