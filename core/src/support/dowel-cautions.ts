import type { Tier } from '../document/types.ts';
import { widthMm } from '../outline/outline.ts';
import type { Pantry } from '../pantry/types.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';
import { mostBendMm, stiffEnoughMm } from './bending.ts';
import { boardMaterialRows } from './boards.ts';
import type { Lift } from './lifts.ts';
import { pressG } from './press.ts';
import { sayInto, type Say } from './support-words.ts';
import type { CutFrom } from './shopping-list.ts';
import { strengthOf } from './strength.ts';
import { valueWord } from '../units/value-words.ts';

/** Dowels without room, in the wrong place, too weak, too few, untried. */
export function warnOfDowels(
  tier: Tier,
  lift: Lift,
  above: string,
  pantry: Pantry,
  say: Say,
): void {
  const { dowels, row, strength, carried, placed } = lift;
  if (!dowels || !row || !strength || !carried) return;
  if (placed.length === 0)
    return say(
      `${lift.id}/no room`,
      'stop',
      lift.id,
      phrase(`No room in ${tier.name} for ${dowels.count ?? lift.fewest} dowels under ${above}.`),
      phrase('Fewer or thinner ones, a smaller hidden centre, or a wider board above.'),
    );
  placed.forEach(({ hindrance, nearest, at }, k) => {
    if (hindrance === null) return;
    say(
      `${lift.id}/${k}/place`,
      'stop',
      `${lift.id}/${k}`,
      phrase(`Dowel ${k + 1} in ${tier.name} stands ${hindrance}.`),
      nearest
        ? phrase('The nearest free place is {by} away.', {
            by: [Math.hypot(nearest.x - at.x, nearest.y - at.y), 'span'],
          })
        : phrase('There is no free place near it: take it out, or use the computed ring.'),
    );
  });
  const worst = Math.max(...carried.worstN);
  if (carried.stands && lift.used > 1) {
    const more = Math.ceil(placed.length * lift.used);
    const stronger = pantry.dowels.find(
      (other) =>
        strengthOf(other, lift.lengthMm, boardMaterialRows[lift.card?.material ?? 'card'].bearsMPa)
          .allowedN >= worst && other.outerMm < 30,
    );
    say(
      `${lift.id}/weak`,
      'stop',
      lift.id,
      phrase(
        `A dowel under ${above} is pressed with {worst} ${carried.worstCase}; it may carry {most} (${strength.by}).`,
        { worst: [pressG(worst), 'weight'], most: [pressG(strength.allowedN), 'weight'] },
      ),
      stronger
        ? phrase(
            `About ${more} of them, or as many of ${stronger.name.toLowerCase()} as there are now.`,
          )
        : phrase(`About ${more} of them.`),
    );
  }
  const alone = lift.without.filter((one) => !one.stands || one.used > 1).length;
  if (carried.stands && alone > 0 && lift.used <= 1)
    say(
      `${lift.id}/one gives`,
      'note',
      lift.id,
      phrase(
        alone === placed.length
          ? `If one of the ${placed.length} dowels under ${above} gives, it tips or another is overloaded.`
          : `If one of ${alone} of the ${placed.length} dowels under ${above} gives, it tips or another is overloaded.`,
      ),
      phrase('One more gives a reserve.'),
    );
  if (placed.length < lift.fewest)
    say(
      `${lift.id}/few`,
      'note',
      lift.id,
      phrase(
        `${placed.length} dowels under ${above}: custom takes ${lift.fewest} for {wide} across.`,
        { wide: [widthMm(lift.outline), 'size'] },
      ),
      phrase('Custom counts by width and knows no weights; the loads are what is computed here.'),
    );
  if (row.testsG.length === 0 && row.source === 'estimate')
    say(
      `${row.id}/untested`,
      'note',
      lift.id,
      phrase(`${row.name}: its strength is an estimate.`),
      phrase('Press one on the scale until it gives, and type the reading under Dowels.'),
    );
}

/** A board that bends more than this is none, mm. */
const hopelessMm = 10;

/** A board that is missing, or bends. */
export function warnOfBoard(
  tier: Tier,
  lift: Lift,
  above: string,
  carried: Tier | undefined,
  say: Say,
): void {
  if (lift.dowels && !lift.card)
    return say(
      `${lift.id}/no card`,
      'stop',
      lift.id,
      phrase(`${above} has no board: dowels in ${tier.name} would go up into it.`),
      phrase('A board of its own outline under it.'),
      // the half-way board of a tall tier is not one of a tier
      carried && { do: 'card', tierId: carried.id },
    );
  const { bend, card } = lift;
  if (!bend || !card || bend.mm <= mostBendMm) return;
  // past this the sum says no more than that it gives way
  if (bend.mm > hopelessMm)
    return say(
      `${lift.id}/bends`,
      'stop',
      lift.id,
      phrase(
        `No board of ${valueWord(card.material)} this thin will do under ${above}: it gives way ${bend.where}.`,
      ),
      phrase('A drum, a board of wood or acrylic, or more dowels nearer to each other.'),
    );
  say(
    `${lift.id}/bends`,
    'mind',
    lift.id,
    phrase(`The board of ${above} bends {mm} ${bend.where}, and its coat may crack.`, {
      mm: [bend.mm, 'fine'],
    }),
    phrase(
      `${capital(valueWord(card.material))} of {thick}, a stiffer board, or another dowel there.`,
      {
        thick: [Math.ceil(stiffEnoughMm(bend, card.thicknessMm)), 'thickness'],
      },
    ),
  );
}
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Pieces longer than what they are to be cut from. */
export function warnOfCutting(lists: readonly CutFrom[], cautions: Caution[]): void {
  for (const { row, tooLong } of lists) {
    if (tooLong.length === 0) continue;
    const longest = Math.max(...tooLong.map((piece) => piece.lengthMm));
    sayInto(cautions)(
      `${row.id}/too long`,
      'stop',
      null,
      phrase(`${row.name} is bought {stock} long; ${tooLong[0]!.label} needs {longest}.`, {
        stock: [row.lengthMm, 'span'],
        longest: [longest, 'span'],
      }),
      phrase('A longer one, a board half-way up, or a lower tier.'),
    );
  }
}
