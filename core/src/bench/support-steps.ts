import type { Build } from '../document/types.ts';
import { handsOn } from '../labour/minutes.ts';
import type { NonFood } from '../support/counts.ts';
import type { Lift } from '../support/lifts.ts';
import type { CutFrom } from '../support/shopping-list.ts';
import type { SupportPlan } from '../support/support.ts';
import { phrase } from '../units/phrase.ts';
import { deckKey } from '../document/deck-key.ts';
import { heavyCaution } from './heavy.ts';
import { step, type Step } from './steps.ts';

const sawCaution = phrase(
  'Saw or cutters: rod clamped or held in a jig, cut away from the hand, goggles for plastic that snaps. Splinters and dust off before it comes near the cake.',
);
const foodCaution = phrase(
  'Only rods, tubes and straws sold for food, washed and dry; wood sealed or in a sleeve where your local code asks for it.',
);
const heavyG = 5000;

/** What is counted when it goes in: noted at the step, and again when it comes out. */
const counted = (key: string, nonFood: readonly NonFood[]): Partial<Step> => {
  const item = nonFood.find((one) => one.key === key);
  return item
    ? {
        record: {
          kind: 'count',
          label: `${item.name.toLowerCase()}, put in`,
          planned: item.count,
          show: 'count',
        },
      }
    : {};
};

/** Sawing all dowels, posts and the rod to length. */
export function dowelCutSteps(cutLists: readonly CutFrom[]): Step[] {
  const some = cutLists.filter(({ pieces }) => pieces.length > 0);
  return some.map(({ row, sticks, needed }) =>
    step(
      `cut/${row.id}`,
      'cut dowels',
      'Support',
      `Cut the dowels: ${row.name.toLowerCase()}`,
      4 + 2 * needed,
      {
        part: 'support',
        lead: phrase(
          'From {n} of them, the longest first. Hold the first one in the cake at its place and mark it flush with the top: where it differs from the figure, the cake is right.',
          { n: [needed, 'count'] },
        ),
        list: sticks.flatMap((stick, i) =>
          stick.pieces.map((piece) => ({
            label: piece.label,
            value: piece.lengthMm,
            kind: 'span' as const,
            note: sticks.length > 1 ? `from ${i + 1}` : null,
          })),
        ),
        checks: [
          'Ends square and clean, nothing that splinters',
          'Each piece marked with its label on tape, taken off before it goes in',
        ],
        cautions: [sawCaution, foodCaution],
        hazards: ['drill or saw'],
        beside: true,
      },
    ),
  );
}

/** Placing the dowels of one board, with their count. */
function dowelStep(build: Build, lift: Lift, nonFood: readonly NonFood[]): Step {
  const tier = build.tiers[lift.tierIndex]!;
  const above =
    lift.deck === null ? build.tiers[lift.tierIndex + 1]!.name : `board ${lift.deck + 1}`;
  const n = lift.placed.length;
  const length = Math.max(...lift.placed.map((dowel) => dowel.lengthMm));
  return step(
    `in/${lift.id}`,
    'insert dowel',
    lift.deck === null ? 'Support' : 'Fill and stack',
    lift.deck === null
      ? `${tier.name}: ${n} dowels in, for ${above}`
      : `${n} dowels in, for ${above}`,
    3 + n,
    {
      part: lift.id,
      lead: phrase(
        'Lay the template or a tin of the size of the board above on top, mark the places, and push each dowel in plumb down to the board.',
      ),
      amounts: [
        { label: 'dowels', value: n, kind: 'count', figure: null },
        { label: 'long', value: length, kind: 'span', figure: null },
        {
          label: 'stands on them',
          value: lift.aboveG,
          kind: 'weight',
          figure: `${lift.id}/worst`,
        },
      ],
      list: lift.placed.map(({ at }, i) => ({
        label: `${i + 1}: ${clockOf(at.x, at.y)}`,
        value: Math.hypot(at.x, at.y),
        kind: 'span' as const,
        note: 'from the middle',
      })),
      checks: [
        'Every one plumb, down on the board, and level with the top: a ruler across all of them',
        'Counted in, aloud, and noted here',
      ],
      cautions: [foodCaution],
      hazards: ['small parts'],
      ...counted(lift.id, nonFood),
    },
  );
}

/** Direction from above as on a clock, 12 at the back. */
export function clockOf(x: number, y: number): string {
  if (Math.hypot(x, y) < 2) return 'in the middle';
  const half = Math.round((Math.atan2(x, y) / (2 * Math.PI)) * 24);
  const at = ((half % 24) + 24) % 24;
  const hour = Math.floor(at / 2) === 0 ? 12 : Math.floor(at / 2);
  return at % 2 === 0 ? `${hour} o’clock` : `half past ${hour}`;
}

/** Dowels and board half-way up a tall tier, laid while it is stacked. */
export function deckSteps(
  build: Build,
  tierIndex: number,
  support: SupportPlan | null,
  nonFood: readonly NonFood[],
): Map<number, Step[]> {
  const tier = build.tiers[tierIndex]!;
  const found = new Map<number, Step[]>();
  tier.stand.decks.forEach((deck, k) => {
    const lift = support?.lifts.find((one) => one.tierIndex === tierIndex && one.deck === k);
    found.set(deck.afterLayer, [
      ...(lift && lift.placed.length > 0 ? [dowelStep(build, lift, nonFood)] : []),
      step(
        `in/${deckKey(tier, k)}`,
        'transfer',
        'Fill and stack',
        `Lay the board over layer ${deck.afterLayer + 1}`,
        3,
        {
          part: deckKey(tier, k),
          lead: phrase(`${deck.card.material}, {thick}, on the dowels; then go on as before.`, {
            thick: [deck.card.thicknessMm, 'thickness'],
          }),
          checks: ['It lies on every dowel and does not rock', 'Nothing of it shows at the side'],
          ...counted(deckKey(tier, k), nonFood),
        },
      ),
    ]);
  });
  return found;
}

/** Dowels in, tiers on each other, the rod through: at home or where it is served. */
export function assemblySteps(
  build: Build,
  support: SupportPlan | null,
  nonFood: readonly NonFood[],
): Step[] {
  if (!support) return [];
  const chapter = build.journey.stackAt === 'venue' ? 'Serve' : 'Support';
  const steps = build.tiers.flatMap((tier, i): Step[] => {
    if (i === 0) return [];
    const below = build.tiers[i - 1]!;
    const lift = support.lifts.find((one) => one.tierIndex === i - 1 && one.deck === null);
    const { body } = support.tiers[i]!;
    const off = Math.hypot(...tier.stand.offsetMm);
    return [
      ...(lift && lift.placed.length > 0
        ? [{ ...dowelStep(build, lift, nonFood), chapter: 'Support' as const }]
        : []),
      step(`in/${tier.id}/card`, 'stack tier', chapter, `Set ${tier.name} on ${below.name}`, 6, {
        part: `${tier.id}/card`,
        lead:
          off > 0.5
            ? phrase(
                `Chilled firm, on its board, {off} off the middle towards ${clockOf(...tier.stand.offsetMm)}. A dab on the board below holds it.`,
                { off: [off, 'span'] },
              )
            : phrase(
                'Chilled firm, on its board, over the middle. A dab on the top below holds it.',
              ),
        amounts: [
          { label: tier.name, value: body.massG, kind: 'weight', figure: `${tier.id}/stands on` },
        ],
        checks: [
          'Over the marked circle before it is let go: it cannot be moved after',
          'Level from two sides',
        ],
        cautions:
          body.massG > heavyG
            ? [
                phrase(
                  '{mass} at arm’s length: two people, hands under the board, the way cleared.',
                  { mass: [body.massG, 'weight'] },
                ),
              ]
            : [],
        hazards: body.massG > heavyG ? ['heavy lift'] : [],
        ...counted(`${tier.id}/card`, nonFood),
      }),
    ];
  });
  const { rod } = support;
  const rodStep = rod
    ? [
        step('in/rod', 'rod', chapter, 'Put the rod through', 6, {
          part: 'rod',
          lead: phrase(
            'Its foot is fixed in the board before the lowest tier stands on it. Each board has a hole of {hole} for it; each tier is lowered over it, straight down.',
            { hole: [rod.holeMm, 'thickness'] },
          ),
          amounts: [{ label: 'long', value: rod.lengthMm, kind: 'span', figure: null }],
          checks: ['It does not show on top', 'It stands fast when the board is tilted a little'],
          cautions: [foodCaution],
          ...counted('rod', nonFood),
        }),
      ]
    : [];
  return [...rodStep, ...steps];
}

/** Parts that go in at no step of their own: foam, and picks in carved pieces. */
export function countInSteps(nonFood: readonly NonFood[]): Step[] {
  return nonFood.map((item) =>
    step(item.inKey, 'measure', 'Support', `Count in: ${item.name.toLowerCase()}`, 1, {
      part: item.tierId,
      lead: phrase(`${capital(item.where)}.`),
      checks: ['Counted, aloud, and noted here'],
      ...counted(item.key, nonFood),
    }),
  );
}

/** Each kind of part is counted out by itself before anybody is served. */
export function countOutSteps(nonFood: readonly NonFood[]): Step[] {
  return nonFood.map((item) =>
    step(item.outKey, 'count out', 'Serve', `Out before it is cut: ${item.name.toLowerCase()}`, 1, {
      part: item.tierId,
      lead: phrase(
        item.countedIn === null
          ? `${capital(item.where)}. {n} planned; the count when it went in was not noted.`
          : `${capital(item.where)}. {n} went in.`,
        { n: [item.countedIn ?? item.count, 'count'] },
      ),
      checks: ['Laid out beside the cake and counted, aloud, by the one who cuts'],
      cautions: [
        phrase(
          'Nobody is served from a tier until every part of it is out. A count that does not close is looked for, not guessed.',
        ),
      ],
      record: {
        kind: 'count',
        label: `${item.name.toLowerCase()}, taken out`,
        planned: item.countedIn ?? item.count,
        show: 'count',
      },
    }),
  );
}
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The journey: what it stands, how cold, what goes along; and what is done first when it is there. */
export function journeySteps(
  build: Build,
  support: SupportPlan | null,
  kit: readonly string[],
  totalG: number | null,
): Step[] {
  const { journey } = build;
  if (!journey.byRoad) return [];
  const arrival = support?.arrival ?? null;
  return [
    step('road', 'drive', 'Serve', 'On the road', handsOn.load, {
      hazards: ['heavy lift'],
      lead: arrival
        ? phrase(
            'About {min}, from {from} to {skin} on the outside. On the floor of the car, level, on something non-slip; brakes and corners gently.',
            {
              min: [journey.minutes, 'minutes'],
              from: [arrival.startC, 'temperature'],
              skin: [arrival.skinC, 'temperature'],
            },
          )
        : phrase('On the floor of the car, level, on something non-slip.'),
      checks: [
        'Car cooled before it goes in, sun off it',
        ...kit.map((what) => `With it: ${what}`),
      ],
      cautions: [
        phrase(
          'What it stands is an estimate for food on a table. How food travels and how long it may be warm is your local code’s to say; the house where it stands has rules of its own.',
        ),
      ],
      timer: { label: 'on the road', minutes: journey.minutes, lookMin: null },
    }),
    step(
      'set-down',
      'place at the venue',
      'Serve',
      'Carry it in and set it down',
      handsOn.setDown,
      {
        hazards: ['heavy lift'],
        lead: phrase(
          build.tiers.length > 1 && journey.stackAt === 'venue'
            ? 'Doors and the way first, empty-handed. One tier at a time, by its board, onto the table where it is put together.'
            : 'Doors and the way first, empty-handed. By its board, never by the box alone, onto the table where it is cut; its front to the guests.',
        ),
        checks: [
          'The table is level, does not rock, and bears it',
          'Out of the sun, away from heaters, candles and swinging doors',
          'Looked at all round; what suffered is mended from the bag',
        ],
        cautions: heavyCaution(totalG),
      },
    ),
  ];
}
