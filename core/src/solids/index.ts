/**
 * The solids: what carving asks of a WebAssembly library. An entry of its own, so that whoever does
 * not carve does not load it.
 */
export { startLibrary, type Library } from './library.ts';
export { Carver } from './carver.ts';
export { carveAnswer, measuredCoat, quickCoatOf } from './answer.ts';
export { carveView, type CarveView } from './view.ts';
export type { Shown } from './materials.ts';
export { targetFrom } from './target.ts';
export { tinWallFrom, type ReadWall } from './tin-wall.ts';
export { MeshProblem, type StlUnit } from './stl.ts';
export { stlOf, threeMfOf } from './shape-files.ts';
export { planCarved } from './plan-carved.ts';
