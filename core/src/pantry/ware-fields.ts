import { outline } from '../document/common-fields.ts';
import { figure, list, oneOf, orNull, record, wholeFigure } from '../fields/field.ts';
import { pantryLimits } from './limits.ts';
import { common } from './row-fields.ts';
import {
  boardMaterials,
  dowelForms,
  measurings,
  type Board,
  type Dowel,
  type Kitchen,
} from './types.ts';

/* Boards, rods and the kitchen itself. */

const at = pantryLimits;

export const board = record<Board>({
  ...common(),
  outline: outline,
  thicknessMm: figure(at.boardMm),
  massG: figure(at.boardG).called('weight'),
  material: oneOf(boardMaterials),
  price: orNull(figure(at.price)).since(4),
});

export const dowel = record<Dowel>({
  ...common(),
  form: oneOf(dowelForms),
  outerMm: figure(at.dowelMm).called('across'),
  wallMm: orNull(figure(at.wallMm)).called('wall', 'of a tube; empty for a solid one'),
  modulusGPa: figure(at.modulusGPa).called('stiffness, GPa'),
  strengthMPa: figure(at.strengthMPa).called('crushes at, MPa'),
  dampShare: figure(at.dampShare).called(
    'left when damp',
    'of its strength, after a day in the cake',
  ),
  lengthMm: figure(at.stickMm).called('long', 'as bought'),
  packCount: wholeFigure(at.packCount).called('in a pack'),
  price: orNull(figure(at.price)).called('a pack costs'),
  owned: wholeFigure(at.sticks).called('owned'),
  testsG: list(figure(at.pressG), at.tests.max),
  testedMm: figure(at.stickMm),
})
  .rule(
    'wall of a tube',
    'is a tube and needs the thickness of its wall',
    ({ form, wallMm }) => form !== 'tube' || wallMm !== null,
  )
  .rule(
    'wall within',
    'has a wall thicker than half of it',
    ({ outerMm, wallMm }) => !(typeof wallMm === 'number' && wallMm > Number(outerMm) / 2),
  );

/** The kitchen: what it can hold, and how its hands work. */
export const kitchen = record<Kitchen>({
  mixerMl: figure(at.mixerMl).called('mixer bowl'),
  kerfMm: figure(at.kerfMm).called('crumb lost at each cut'),
  dabG: figure(at.dabG).called('dab under the first layer'),
  scrapingsShare: figure(at.lossShare).called('scraped off a crumb coat'),
  toolsShare: figure(at.lossShare).called('stays in bowl and on tools'),
  bagResidueG: figure(at.bagResidueG).called('stays in a piping bag'),
  bagG: figure(at.bagG).called('a piping bag holds'),
  roughnessMm: figure(at.roughnessMm).called('unevenness of sponge sides'),
  shelfWideMm: figure(at.shelfMm).called('oven shelf, wide'),
  shelfDeepMm: figure(at.shelfMm).called('oven shelf, deep'),
  shelves: wholeFigure(at.shelves).called('shelves at once', 'more than one only with a fan'),
  tinGapMm: figure(at.tinGapMm).called('room between tins'),
  turnaroundMin: figure(at.turnaroundMin).called('between loads'),
  preheatMin: figure(at.preheatMin).called('until the oven is hot'),
  trays: wholeFigure(at.trays).called('baking trays'),
  washMin: figure(at.washMin).called(
    'washing bowl and whisk',
    'before the mixer makes something else',
  ),
  roomC: figure(at.roomC).called('the room'),
  fridgeC: figure(at.fridgeC).called('the fridge'),
  freezerC: figure(at.freezerC).called('the freezer'),
  rackW: figure(at.surfaceW).called('cooling on a rack, W/m²K'),
  roomW: figure(at.surfaceW).called('a still room, W/m²K'),
  fridgeW: figure(at.surfaceW).called('the fridge, W/m²K', 'still 7, with a fan 12'),
  freezerW: figure(at.surfaceW).called('the freezer, W/m²K', 'household 11, with a fan 25'),
  cupcakeG: figure(at.cupcakeG).called('batter in a cupcake case'),
  processorG: figure(at.processorG).called('nuts ground at once', 'more turn to paste'),
  panMl: figure(at.panMl).called('pan for cooked fillings'),
  scoopMl: figure(at.scoopMl).called('your scoop'),
  spoonMl: figure(at.scoopMl).called('your heaped spoon'),
  nozzleMm: figure(at.nozzleMm).called('round nozzle for filling'),
  measuring: oneOf(measurings),
  hourlyRate: figure(at.hourlyRate).called('an hour of work'),
  pieceSeconds: figure(at.pieceSeconds).called('seconds to a piped piece'),
  metreMin: figure(at.metreMin).called('to a piped metre'),
  refillMin: figure(at.refillMin).called('to a fresh piping bag'),
});
