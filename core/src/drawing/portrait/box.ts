import type { Side, SidePart } from './types';

/** All that parts cover, mm. */
export function boxOf(parts: readonly SidePart[]): Side['box'] {
  const corners = parts.flatMap(cornersOf);
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const [x, y] = [Math.min(0, ...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

/** What a curve covers at most: of its hands only three quarters are ever reached. */
function wayBox(way: readonly (readonly [number, number])[], half: number): (readonly [number, number])[] {
  const reached = way.map(([x, y], index) => {
    if (index % 3 === 0) return [x, y] as const;
    const end = way[index % 3 === 1 ? index - 1 : index + 1]!;
    return [end[0] + 0.75 * (x - end[0]), end[1] + 0.75 * (y - end[1])] as const;
  });
  return reached.flatMap(([x, y]) => [
    [x - half, y - half],
    [x + half, y + half],
  ]);
}

function cornersOf(part: SidePart): (readonly [number, number])[] {
  switch (part.type) {
    case 'cloth':
    case 'thing':
      return [
        [part.x, part.y],
        [part.x + part.w, part.y + part.h],
      ];
    case 'border': {
      const deep = (side: number) => (part.rounds[0]!.sides[side]! > 0 ? part.depth * part.rounds.length : 0);
      return [
        [part.x - deep(3), part.y - deep(0)],
        [part.x + part.w + deep(1), part.y + part.h + deep(2)],
      ];
    }
    case 'loop': {
      const [half, far] = [0.35 * part.reach, 1.06 * part.reach];
      if (part.towards === 'down' || part.towards === 'up') {
        const end = part.y + (part.towards === 'up' ? -far : far);
        return [
          [part.x - half, part.y],
          [part.x + half, end],
        ];
      }
      const end = part.x + (part.towards === 'left' ? -far : far);
      return [
        [part.x, part.y - half],
        [end, part.y + half],
      ];
    }
    case 'ribbon':
      return wayBox(part.way, part.wide / 2);
    case 'button':
      return [
        [part.x - part.diameter / 2, part.y - part.diameter / 2],
        [part.x + part.diameter / 2, part.y + part.diameter / 2],
      ];
    case 'cut':
      return part.points.flatMap(([x, y]) => [
        [x - part.thickness / 2, y - part.thickness / 2] as const,
        [x + part.thickness / 2, y + part.thickness / 2] as const,
      ]);
    case 'line':
      return part.kind === 'cord'
        ? [
            [part.x1, part.y1],
            [part.x2, part.y2],
          ]
        : [];
    default:
      return [];
  }
}
