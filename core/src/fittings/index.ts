import { SHAPES, type ShapeDefinition } from '../shapes';
import { beltLoop } from './beltLoop';
import { buttonhole } from './buttonhole';
import { buttonLoop } from './buttonLoop';
import type { FittingDefinition, FittingSpec } from './definition';
import { dividers } from './dividers';
import { drawstring } from './drawstring';
import { edging } from './edging';
import { elasticLoop } from './elasticLoop';
import { flap } from './flap';
import { handles } from './handles';
import { lining } from './lining';
import { clipLoop, hangingLoop, wristLoop } from './smallLoops';
import { hookAndEye, hookAndLoop, magnet, snap } from './snapOrMagnet';
import { stackedPockets } from './stackedPockets';
import { mouthLoop } from './mouthLoop';
import { ornament } from './ornament';
import { secondLayer } from './secondLayer';
import { shankButton } from './shankButton';
import { strap } from './strap';
import { tabs } from './tabs';
import { ties } from './ties';
import { tongueHandle } from './tongueHandle';
import { bobble, tag, tassel } from './trimmings';
import { zip } from './zip';

export { LINING } from './lining';
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
