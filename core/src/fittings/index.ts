import { SHAPES, type ShapeDefinition } from '../shapes';
import { beltLoop } from './carrying/beltLoop';
import { buttonhole } from './closures/buttonhole';
import { buttonLoop } from './closures/buttonLoop';
import type { FittingDefinition, FittingSpec } from './definition';
import { dividers } from './pockets/dividers';
import { drawstring } from './closures/drawstring';
import { edging } from './trims/edging';
import { elasticLoop } from './closures/elasticLoop';
import { flap } from './closures/flap';
import { handles } from './carrying/handles';
import { lining } from './pockets/lining';
import { clipLoop, hangingLoop, wristLoop } from './carrying/smallLoops';
import { hookAndEye, hookAndLoop, magnet, snap } from './closures/snapOrMagnet';
import { stackedPockets } from './pockets/stackedPockets';
import { mouthLoop } from './closures/mouthLoop';
import { ornament } from './trims/ornament';
import { secondLayer } from './pockets/secondLayer';
import { shankButton } from './closures/shankButton';
import { strap } from './carrying/strap/strap';
import { tabs } from './carrying/tabs';
import { ties } from './closures/ties';
import { tongueHandle } from './carrying/tongueHandle';
import { bobble } from './trims/bobble';
import { tag, tassel } from './trims/trimmings';
import { zip } from './closures/zip';

export * from './collisions';
export * from './definition';
export * from './loops';
export * from './onRows';
export * from './onEdging';

/** Every fitting. A new one is a file of its own and a line here. */
export const FITTINGS: readonly FittingDefinition[] = [
  flap,
  buttonLoop,
  elasticLoop,
  shankButton,
  mouthLoop,
  buttonhole,
  snap,
  magnet,
  hookAndLoop,
  hookAndEye,
  zip,
  dividers,
  stackedPockets,
  strap,
  handles,
  tongueHandle,
  secondLayer,
  drawstring,
  bobble,
  ties,
  tabs,
  beltLoop,
  hangingLoop,
  clipLoop,
  wristLoop,
  lining,
  edging,
  tassel,
  tag,
  ornament,
];

/** The fitting of an id; undefined where there is none. */
export function fittingDefinition(id: string): FittingDefinition | undefined {
  return FITTINGS.find((fitting) => fitting.id === id);
}

/** How a figure of a fitting is called where it is shown; undefined where the fitting does not name it. */
export function figureName({ figures }: FittingDefinition, key: string): string | undefined {
  return typeof figures === 'function' ? figures(key) : figures[key];
}

/** The kind of fitting that gives what another cannot be without. */
export function giverOf({ needs }: FittingDefinition): FittingDefinition | undefined {
  return needs && FITTINGS.find(({ gives }) => gives === needs);
}

/** Whether a shape has all that a fitting asks for. */
export function belongsOn({ offers }: Pick<ShapeDefinition, 'offers'>, { asks }: FittingDefinition): boolean {
  return asks.every((asked) => offers.includes(asked));
}

/** Why a fitting does not go on a shape, and on which it would; undefined where it does. */
export function whyNotOn(shape: ShapeDefinition, fitting: FittingDefinition): string | undefined {
  if (belongsOn(shape, fitting)) return undefined;
  const others = SHAPES.filter((other) => belongsOn(other, fitting)).map(({ name }) => `“${name}”`);
  const last = others.pop();
  const where = others.length > 0 ? `${others.join(', ')} or ${last}` : last;
  return `${fitting.because ?? ''} It goes on ${where}.`.trim();
}

/** Of a plan's fittings those that go on a shape, and have what they need. */
export function fittingsOn(shape: ShapeDefinition, fittings: readonly FittingSpec[] = []): FittingSpec[] {
  const going = fittings.filter(({ kind }) => {
    const definition = fittingDefinition(kind);
    return definition !== undefined && belongsOn(shape, definition);
  });
  return going.filter(({ kind }) => {
    const giver = giverOf(fittingDefinition(kind)!);
    return giver === undefined || going.some((other) => other.kind === giver.id);
  });
}
