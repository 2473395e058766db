import { backLoop } from './stitches/backLoop';
import { backstitch } from './seams/backstitch';
import { beforeStarting } from './checks/beforeStarting';
import { blocking } from './checks/blocking';
import { bobble } from './stitches/bobble';
import { border } from './edgings/border';
import { bothLayers } from './edgings/bothLayers';
import { button } from './finishing/button';
import { buttonLoop } from './edgings/buttonLoop';
import { buttonhole } from './edgings/buttonhole';
import { chain } from './stitches/chain';
import { changingColour } from './yarn/changingColour';
import { cord } from './cords/cord';
import { cordStopper } from './cords/cordStopper';
import { corner } from './edgings/corner';
import { counting } from './courses/counting';
import { crossedDouble } from './stitches/crossedDouble';
import { dividers } from './seams/dividers';
import { double } from './stitches/double';
import { doubleTogether } from './stitches/doubleTogether';
import { eyelet } from './stitches/eyelet';
import { fastenOff } from './yarn/fastenOff';
import { flatBase } from './checks/flatBase';
import { folding } from './finishing/folding';
import { foundationChain } from './beginnings/foundationChain';
import { foundationHalfDouble } from './stitches/foundationHalfDouble';
import { foundationSingle } from './stitches/foundationSingle';
import { frontLoop } from './stitches/frontLoop';
import { gauge } from './checks/gauge';
import { glueOnKnot } from './yarn/glueOnKnot';
import { group } from './stitches/group';
import { halfDouble } from './stitches/halfDouble';
import { halfDoubleTogether } from './stitches/halfDoubleTogether';
import { hangTest } from './checks/hangTest';
import { holdingLayers } from './edgings/holdingLayers';
import { increase } from './stitches/increase';
import { joinToRing } from './beginnings/joinToRing';
import { joinedRounds } from './courses/joinedRounds';
import { lastLook } from './checks/lastLook';
import { lastStitch } from './courses/lastStitch';
import { lining } from './finishing/lining';
import { linkedSingle } from './stitches/linkedSingle';
import { magicRing } from './beginnings/magicRing';
import { mattressStitch } from './seams/mattressStitch';
import { meshLoop } from './stitches/meshLoop';
import { middle } from './edgings/middle';
import { newYarn } from './yarn/newYarn';
import { overTails } from './yarn/overTails';
import { pullingOut } from './yarn/pullingOut';
import { reverseSingle } from './stitches/reverseSingle';
import { ringOfChains } from './beginnings/ringOfChains';
import { roundAChain } from './beginnings/roundAChain';
import { rowEnds } from './edgings/rowEnds';
import { runningStitch } from './seams/runningStitch';
import { sewing } from './seams/sewing';
import { sides } from './courses/sides';
import { single } from './stitches/single';
import { singleSeam } from './seams/singleSeam';
import { singleTogether } from './stitches/singleTogether';
import { skip } from './courses/skip';
import { slipKnot } from './beginnings/slipKnot';
import { slipSeam } from './seams/slipSeam';
import { slipStitch } from './stitches/slipStitch';
import { snap } from './finishing/snap';
import { space } from './courses/space';
import { spike } from './stitches/spike';
import { spiral } from './courses/spiral';
import { standingJoin } from './beginnings/standingJoin';
import { stitchMarker } from './courses/stitchMarker';
import { tail } from './yarn/tail';
import { tassel } from './cords/tassel';
import { topStitching } from './stitches/topStitching';
import { treble } from './stitches/treble';
import { turning } from './courses/turning';
import { turningChain } from './courses/turningChain';
import { twistedCord } from './cords/twistedCord';
import { twoLoopCord } from './cords/twoLoopCord';
import { unpicking } from './yarn/unpicking';
import { vOpen } from './stitches/vOpen';
import { vTight } from './stitches/vTight';
import { weavingIn } from './yarn/weavingIn';
import { whipStitch } from './seams/whipStitch';
import { wrappedHalfDouble } from './stitches/wrappedHalfDouble';
import { zip } from './finishing/zip';
import type { Technique } from './definition';

/** Every technique. A new one is a file of its own and a line here. */
export const TECHNIQUES: readonly Technique[] = [
  chain,
  slipStitch,
  single,
  halfDouble,
  double,
  treble,
  singleTogether,
  halfDoubleTogether,
  doubleTogether,
  increase,
  spike,
  linkedSingle,
  wrappedHalfDouble,
  crossedDouble,
  vOpen,
  vTight,
  group,
  bobble,
  reverseSingle,
  foundationSingle,
  foundationHalfDouble,
  topStitching,
  backLoop,
  frontLoop,
  meshLoop,
  eyelet,
  slipKnot,
  foundationChain,
  magicRing,
  ringOfChains,
  roundAChain,
  joinToRing,
  standingJoin,
  turningChain,
  lastStitch,
  turning,
  joinedRounds,
  spiral,
  stitchMarker,
  counting,
  sides,
  skip,
  space,
  rowEnds,
  corner,
  border,
  bothLayers,
  holdingLayers,
  middle,
  buttonhole,
  buttonLoop,
  newYarn,
  changingColour,
  overTails,
  tail,
  weavingIn,
  fastenOff,
  pullingOut,
  unpicking,
  glueOnKnot,
  sewing,
  whipStitch,
  mattressStitch,
  slipSeam,
  singleSeam,
  backstitch,
  runningStitch,
  dividers,
  twistedCord,
  twoLoopCord,
  cord,
  tassel,
  cordStopper,
  button,
  snap,
  zip,
  lining,
  folding,
  gauge,
  flatBase,
  hangTest,
  blocking,
  beforeStarting,
  lastLook,
];
