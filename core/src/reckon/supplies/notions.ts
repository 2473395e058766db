import type { Notion } from '../../fittings';
import { formatNumber } from '../../base/units';
import type { FabricSpec, WorkedFabric } from '../../craft/fabric';

/** What to have at hand besides yarn: hooks, needle, and what pieces, steps and fittings ask for; alike ones added up. */
export function notionsOf(spec: FabricSpec, { yarn }: WorkedFabric, wanted: readonly Notion[]): Notion[] {
  const always: Notion[] = [
    { name: 'hook', size: `${formatNumber(spec.hookMm, 2)} mm`, count: 1 },
    ...(spec.chainHookMm === undefined
      ? []
      : [{ name: 'hook for the chain', size: `${formatNumber(spec.chainHookMm, 2)} mm`, count: 1 }]),
    { name: 'tapestry needle', size: `with an eye for ${formatNumber(yarn.value)} mm yarn`, count: 1 },
  ];
  const summed: Notion[] = [];
  for (const notion of [...always, ...wanted]) {
    const known = summed.find(({ name, size }) => name === notion.name && size === notion.size);
    if (known) known.count += notion.count;
    else summed.push({ ...notion });
  }
  return summed;
}
