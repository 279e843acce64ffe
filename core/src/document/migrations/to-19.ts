import { asList, asObject, type Loose } from '../loose.ts';

/* From version 18 to 19: a colour names the gels of its mix, and a relief has a motif and a place. */

/** What version 18 knew of a relief was its area: it stays so, in the middle of the front. */
function cutFrom18(value: unknown): unknown {
  const cut = asObject(value);
  return cut.kind !== 'relief'
    ? value
    : {
        motif: 'own',
        words: '',
        wideMm: 40,
        highMm: 40,
        strokeMm: 4,
        where: 'side',
        bearingDeg: 180,
        outMm: 0,
        upMm: 50,
        ...cut,
      };
}

function tierFrom18(value: unknown): Loose {
  const tier = asObject(value);
  const { carving } = tier;
  if (!carving) return tier;
  const own = asObject(carving);
  return { ...tier, carving: { ...own, cuts: asList(own.cuts).map(cutFrom18) } };
}

/** A build with fields that version 19 added. */
export function buildFrom18(value: unknown): Loose {
  const build = asObject(value);
  return {
    ...build,
    colours: asList(build.colours).map((colour) => ({ doses: [], ...asObject(colour) })),
    tiers: asList(build.tiers).map(tierFrom18),
  };
}
