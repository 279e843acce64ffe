import { allergenList, outline } from '../document/common-fields.ts';
import { figure, flag, id, list, oneOf, orNull, record, wholeFigure } from '../fields/field.ts';
import { pantryLimits } from './limits.ts';
import { common } from './row-fields.ts';
import {
  otherForms,
  tinForms,
  tones,
  type Flutes,
  type OtherLayer,
  type Sponge,
  type Tin,
} from './types.ts';

/* What is baked, and what it is baked in. */

const at = pantryLimits;

export const sponge = record<Sponge>({
  ...common(),
  batterDensityGPerMl: figure(at.batterDensityGPerMl).called('batter density'),
  rise: figure(at.rise).called('rise', 'baked volume over batter volume'),
  ovenLoss: figure(at.ovenLoss).called('weight lost in the oven', 'share of the batter’s weight'),
  crownOverRadius: figure(at.crownOverRadius).called(
    'dome',
    'how much higher the middle bakes, as a share of half the width',
  ),
  minSliceMm: figure(at.minSliceMm).called('thinnest slice'),
  allowableKPa: figure(at.allowableKPa).called(
    'bears, kPa',
    'before it gives way under what lies on it',
  ),
  waitMin: figure(at.waitMin).called('batter may stand', 'before it goes into the oven').since(3),
  bareSides: flag().since(11),
  soakMlPerMl: figure(at.soakMlPerMl).called('holds syrup', 'of its own volume').since(3),
  tone: oneOf(tones),
  recipeId: id().called('recipe'),
});

export const tin = record<Tin>({
  ...common(),
  outline: outline,
  depthMm: figure(at.tinDepthMm),
  flareMm: figure(at.flareMm).called('sides lean out by'),
  owned: wholeFigure(at.owned).called('how many'),
  form: oneOf(tinForms).since(3),
  waterG: orNull(figure(at.waterG))
    .called('water it holds', 'weighed, to the brim; empty when its measures are enough')
    .since(3),
  flutes: orNull(
    record<Flutes>({
      count: wholeFigure(at.flutes).called('waves of its wall').usually(16),
      depthMm: figure(at.fluteMm).called('depth of a wave').usually(6),
    }),
  ).since(15),
  wall: list(figure(at.wallShare), at.wallPoints.max).called('widths of its wall').since(16),
})
  .rule(
    'mould',
    'is a mould: it needs the weight of the water it holds',
    (tin) => tin.form !== 'mould' || tin.waterG !== null,
  )
  .rule(
    'drawn',
    'has a drawn wall: its width at the bottom and at the brim at least, and not nothing all the way up',
    (tin) =>
      tin.form !== 'drawn' ||
      (Array.isArray(tin.wall) && tin.wall.length > 1 && tin.wall.some((share) => share > 0.05)),
  );

export const other = record<OtherLayer>({
  ...common(),
  form: oneOf(otherForms),
  thicknessMm: figure(at.otherMm),
  densityGPerMl: figure(at.densityGPerMl).called('density'),
  allowableKPa: figure(at.allowableKPa).called(
    'bears, kPa',
    'before it gives way under what lies on it',
  ),
  spreadMm: figure(at.spreadMm).called(
    'spreads in the oven by',
    'beyond the traced circle, all round',
  ),
  ovenLoss: figure(at.otherLoss).called('weight lost in the oven', 'share of its batter’s weight'),
  bake: orNull(
    record<NonNullable<OtherLayer['bake']>>({
      ovenC: figure(at.ovenC),
      minutes: figure(at.bakeMin),
      dryMin: figure(at.dryMin).since(12),
    }),
  ),
  packCount: orNull(wholeFigure(at.packCount)).called('pieces to a pack', 'of bought ones'),
  thawH: orNull(figure(at.thawH)).called('hours to thaw'),
  allergens: allergenList(),
  tone: oneOf(tones),
  recipeId: orNull(id()).called('recipe').since(4),
});
