import type { Tier } from '../document/types.ts';
import { mottledCakes } from '../batter/batter-tints.ts';
import { warnOfPieces } from '../batter/pieces-cautions.ts';
import { doneC } from '../heat/bake-time.ts';
import { fitsInside, grow, widthMm } from '../outline/outline.ts';
import type { Sponge, Tin } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { isNearTin, nearestOwned } from './choose.ts';
import type { BakePlan } from './bake.ts';
import { cakesOf, spongeLayers } from './sponge-layers.ts';

/** Everything to mind about tins, batter and the weighed bowl of one tier. */
export function warnOfBake(
  tier: Tier,
  sponge: Sponge,
  tin: Tin,
  plan: BakePlan,
  tins: readonly Tin[],
  cautions: Caution[],
): void {
  if (plan.cakes.length === 0) return;
  warnOfRim(tier, tin, plan, cautions);
  warnOfTin(tier, tin, plan, tins, cautions);
  warnOfSlices(tier, sponge, cautions);
  warnOfColours(tier, cautions);
  warnOfBaked(tier, plan, cautions);
  warnOfHeat(tier, plan, cautions);
  warnOfBowl(tier, plan, cautions);
  warnOfPieces(tier, sponge, plan, cautions);
}

function warnOfRim(tier: Tier, tin: Tin, plan: BakePlan, cautions: Caution[]): void {
  const part = `${tier.id}/cake`;
  const most = Math.max(...plan.cakes.map((c) => c.neededMm));
  const crown = Math.max(...plan.cakes.map((c) => c.crownMm));
  // a cake of fewer layers rises less high, about in their proportion
  const perCake = Math.min(
    Math.max(1, tier.slicesPerCake - 1),
    Math.max(1, Math.floor((tier.slicesPerCake * tin.depthMm) / most)),
  );
  const fewer = cakesOf(spongeLayers(tier), perCake).length;
  if (most > tin.depthMm)
    cautions.push({
      id: `${tier.id}/overflow`,
      severity: 'stop',
      stage: 'bake',
      part,
      title: phrase(
        `The ${tin.name} cannot hold the batter: the cake rises to {edge}, the rim is at {rim}.`,
        { edge: [most, 'thickness'], rim: [tin.depthMm, 'thickness'] },
      ),
      todo:
        tier.slicesPerCake > 1
          ? phrase(
              `Split each cake into ${perCake} instead of ${tier.slicesPerCake} (${fewer} cakes), or take a deeper tin.`,
            )
          : phrase('Make the layers {by} thinner, or take a deeper tin.', {
              by: [most - tin.depthMm, 'thickness'],
            }),
      ...(tier.slicesPerCake > 1 && {
        advised: { do: 'slices', tierId: tier.id, perCake },
      }),
    });
  else if (most + crown > tin.depthMm + 10)
    cautions.push({
      id: `${tier.id}/crown`,
      severity: 'mind',
      stage: 'bake',
      part,
      title: phrase('The crown stands {over} above the rim and may run over.', {
        over: [most + crown - tin.depthMm, 'thickness'],
      }),
      todo: phrase(
        'Line the tin with a collar of paper that high, or split the batter over more tins.',
      ),
    });
}

function warnOfTin(
  tier: Tier,
  tin: Tin,
  plan: BakePlan,
  tins: readonly Tin[],
  cautions: Caution[],
): void {
  const part = `${tier.id}/cake`;
  const inside = grow(tin.outline, -tier.trim.sideMm);
  const fits = inside !== null && fitsInside(tier.outline, inside);
  if (!fits && tier.trim.sideMm === 0 && isNearTin(tier.outline, tin))
    cautions.push({
      id: `${tier.id}/near tin`,
      severity: 'note',
      stage: 'bake',
      part,
      title: phrase(`A cake of {size} from the ${tin.name}: it comes out {by} smaller.`, {
        size: [widthMm(tier.outline), 'size'],
        by: [widthMm(tier.outline) - widthMm(tin.outline), 'thickness'],
      }),
      todo: phrase('That is the tin for this size; the coat makes it up.'),
    });
  else if (!fits) {
    const other = nearestOwned(tier.outline, tins);
    const better = other && other.id !== tin.id ? other : null;
    cautions.push({
      id: `${tier.id}/tin too small`,
      severity: 'mind',
      stage: 'bake',
      part,
      title: phrase(
        tier.trim.sideMm > 0
          ? `The ${tin.name} is too small for this cake with {trim} of crust off its side.`
          : `The ${tin.name} is too small for this cake.`,
        { trim: [tier.trim.sideMm, 'thickness'] },
      ),
      todo: phrase(
        `Make the cake the size of ${better ? `the ${better.name}, the nearest that you own` : 'the tin'}, or add a tin of {size} to the pantry.`,
        { size: [widthMm(tier.outline), 'size'] },
      ),
    });
  } else {
    const trim = plan.cakes.reduce((sum, c) => sum + c.trimG, 0);
    if (trim > 0.25 * plan.bakedG && tin.form === 'upright' && !isNearTin(tier.outline, tin))
      cautions.push({
        id: `${tier.id}/trim`,
        severity: 'note',
        stage: 'bake',
        part,
        title: phrase(
          `{trim} are cut off, because the ${tin.name} is larger than the cake or stands higher.`,
          { trim: [trim, 'bowl'] },
        ),
        todo: phrase('Take a tin nearer to the cake’s size, or keep the offcuts for crumbs.'),
      });
  }
  if (tin.form !== 'upright')
    cautions.push({
      id: `${tier.id}/round on top`,
      severity: 'note',
      stage: 'bake',
      part,
      title: phrase(`A cake from the ${tin.name} is not straight at the side.`),
      todo: phrase(
        'Its grams are right; the drawing shows it as a disc of the same volume. Put it on top, its flat face down.',
      ),
    });
  if (tin.owned === 0)
    cautions.push({
      id: `${tier.id}/not owned`,
      severity: 'mind',
      stage: 'bake',
      part,
      title: phrase(`The pantry has no ${tin.name}.`),
      todo: phrase('Borrow or buy one, or choose a tin that is there.'),
    });
}

function warnOfSlices(tier: Tier, sponge: Sponge, cautions: Caution[]): void {
  tier.layers.forEach((layer, i) => {
    if (layer.otherId !== null || layer.heightMm >= sponge.minSliceMm) return;
    const single = tier.slicesPerCake < 2;
    cautions.push({
      id: `${tier.id}/thin/${i}`,
      severity: 'mind',
      stage: 'stack',
      part: `${tier.id}/layer/${i}`,
      title: phrase(
        `Layer ${i + 1} is {thin} thick; ${sponge.name.toLowerCase()} tears below {least}.`,
        { thin: [layer.heightMm, 'thickness'], least: [sponge.minSliceMm, 'thickness'] },
      ),
      todo: phrase(
        single
          ? 'Make it {by} thicker, or bake it on a lined tray, a few minutes only, and turn it out on its paper.'
          : 'Make it {by} thicker, or split each cake into fewer layers.',
        {
          by: [sponge.minSliceMm - layer.heightMm, 'thickness'],
        },
      ),
    });
  });
}

/** One cake has one colour: layers of two cannot be cut from it. */
function warnOfColours(tier: Tier, cautions: Caution[]): void {
  for (const layers of mottledCakes(tier)) {
    const names = layers.map((i) => i + 1).join(' and ');
    cautions.push({
      id: `${tier.id}/colours/${layers[0]!}`,
      severity: 'mind',
      stage: 'stack',
      part: `${tier.id}/layer/${layers[0]!}`,
      title: phrase(`Layers ${names} are cut from one cake, and planned in several colours.`),
      todo: phrase(
        `All of them come out ${tier.layers[layers[0]!]!.tint.trim() || 'as the batter is'}. For a colour each, bake one layer to a tin, or give them one colour.`,
      ),
    });
  }
}

function warnOfBaked(tier: Tier, plan: BakePlan, cautions: Caution[]): void {
  for (const cake of plan.cakes) {
    const short = cake.neededMm - cake.edgeMm;
    if (short > 0.5)
      cautions.push({
        id: `${tier.id}/baked low/${cake.index}`,
        severity: 'stop',
        stage: 'bake',
        part: `${tier.id}/cake`,
        title: phrase(
          `Cake ${cake.index + 1} came out {short} too low for its ${cake.layers.length === 1 ? 'layer' : 'layers'}.`,
          { short: [short, 'thickness'] },
        ),
        todo: phrase(
          'Solve the stack again from what came out: layers thinner, fillings thicker, the height kept where it can be.',
        ),
      });
  }
}

function warnOfHeat(tier: Tier, plan: BakePlan, cautions: Caution[]): void {
  const part = `${tier.id}/cake`;
  if (plan.ovenC <= doneC)
    cautions.push({
      id: `${tier.id}/cool oven`,
      severity: 'stop',
      stage: 'bake',
      part,
      title: phrase('An oven at {oven} never bakes it through.', {
        oven: [plan.ovenC, 'temperature'],
      }),
      todo: phrase('The centre has to come to 97 °C: set the oven higher.'),
    });
  if (plan.iceG > 1)
    cautions.push({
      id: `${tier.id}/ice`,
      severity: 'mind',
      stage: 'bake',
      part,
      title: phrase('{ice} of ice would not melt in the batter.', { ice: [plan.iceG, 'small'] }),
      todo: phrase('Thaw the pieces and drain them first, or fold in fewer.'),
    });
  else if (plan.startC < 12)
    cautions.push({
      id: `${tier.id}/cold batter`,
      severity: 'mind',
      stage: 'bake',
      part,
      title: phrase('The batter goes in at {start}: it looks grainy and rises less.', {
        start: [plan.startC, 'temperature'],
      }),
      todo: phrase(
        'Let eggs and milk come to the room’s temperature, or stand them in warm water.',
      ),
    });
}

function warnOfBowl(tier: Tier, plan: BakePlan, cautions: Caution[]): void {
  const part = `${tier.id}/cake`;
  const { bowl } = plan;
  if (!tier.bowl || !bowl) return;
  const { fullG, emptyG, pouredG } = tier.bowl;
  const poured = pouredG.reduce((sum: number, g) => sum + (g ?? 0), 0);
  if (fullG < emptyG)
    cautions.push({
      id: `${tier.id}/bowl order`,
      severity: 'stop',
      stage: 'bake',
      part,
      title: phrase('The full bowl weighs less than the empty one.'),
      todo: phrase('Check the two weights; they may have been swapped.'),
    });
  else if (poured > bowl.inBowlG + 1)
    cautions.push({
      id: `${tier.id}/poured more`,
      severity: 'stop',
      stage: 'bake',
      part,
      title: phrase('More was poured, {poured}, than the bowl held, {held}.', {
        poured: [poured, 'bowl'],
        held: [bowl.inBowlG, 'bowl'],
      }),
      todo: phrase('Check the weights of the bowl and of what went into the tins.'),
    });
  else if (bowl.shortG > 0.02 * bowl.wantedG)
    cautions.push({
      id: `${tier.id}/bowl short`,
      severity: 'mind',
      stage: 'bake',
      part,
      title: phrase('The bowl is {short} short of what the tins want.', {
        short: [bowl.shortG, 'bowl'],
      }),
      todo: phrase(
        'Shared out as shown, every layer comes out {share} thinner; or mix {short} more.',
        { share: [bowl.shortG / bowl.wantedG, 'share'], short: [bowl.shortG, 'bowl'] },
      ),
    });
}
