import { mayLeaveOut } from '../document/leave-out.ts';
import type { Tier } from '../document/types.ts';
import type { OperationKind } from '../workflow/operation.ts';
import type { Chapter, Step } from './steps.ts';

/** Where an amount that mends a fault is computed. */
export type Desk = 'bowl' | 'ganache' | 'tins' | 'level' | 'left' | 'tear' | 'thin';

/** A usual fault, how it is told by eye, and what mends it. */
export interface StepFault {
  id: string;
  name: string;
  sign: string;
  mend: string;
  desk: Desk | null;
}

const fault = (id: string, name: string, sign: string, mend: string, desk?: Desk): StepFault => ({
  id,
  name,
  sign,
  mend,
  desk: desk ?? null,
});

/** What can be wrong with a frosting, wherever it is. */
const frostingFaults: StepFault[] = [
  fault(
    'split',
    'The frosting is split',
    'Curds in a thin liquid',
    'Warm a fifth of it until it runs and beat it back in, a spoonful at a time; if it is soup, chill it 15 minutes and beat.',
    'bowl',
  ),
  fault(
    'over-whipped',
    'Over-whipped: grainy, or full of holes',
    'It tears instead of spreading',
    'Fold in liquid cream by the spoonful, by hand; for buttercream, stir slowly for two minutes.',
    'bowl',
  ),
  fault(
    'too-soft',
    'Too soft, or too stiff',
    'It slides, or it drags the crumbs',
    'By the gram: what to add for the firmness wanted is worked out here.',
    'bowl',
  ),
];

/** Faults by what is done where they show, and in which chapter where that makes a difference. */
const atSteps: { at: OperationKind[]; chapter?: Chapter; faults: StepFault[] }[] = [
  {
    at: ['mix'],
    chapter: 'Bake',
    faults: [
      fault(
        'grainy',
        'The batter is grainy',
        'It looks curdled, with fat in flakes',
        'Something went in too cold. Stand the bowl in warm water for a minute, beat, and go on; a spoonful of the weighed flour binds it.',
      ),
      fault(
        'short-batter',
        'Less batter than planned',
        'The scale says so',
        'Note what is in the bowl: each tin then gets its share, and the layers come out lower alike.',
        'tins',
      ),
    ],
  },
  {
    at: ['bake'],
    faults: [
      fault(
        'dark',
        'Dark outside, wet inside',
        'The skewer comes out wet while the top browns',
        'Cover loosely with foil, 10 to 15 °C less, and look every five minutes. Note the minutes when it is done.',
      ),
      fault(
        'sunk',
        'It sinks in the middle',
        'A hollow when the door opens',
        'Back in at once, and leave the door shut. Once cold, cut to the lowest edge; note that height and the plan is worked out again.',
      ),
    ],
  },
  {
    at: ['turn out', 'level'],
    faults: [
      fault(
        'domed',
        'Domed',
        'The middle stands above the rim',
        'Level at the lowest edge. Next time: 10 °C less, or wet strips round the tin.',
        'level',
      ),
      fault(
        'sunk-cold',
        'Sunk or lower than planned',
        'The rim stands above the middle, or the ruler says so',
        'Measure the lowest edge and note it: heights, coat and dowels follow from it at once.',
      ),
      fault(
        'torn',
        'A slice is torn',
        'A crack through, or a corner comes away',
        'Broken in two or three: lay it on its filling, close the crack with a palette knife of frosting, and put it in the middle of the stack, never on top. In crumbs: leave this layer out, and the plan is worked out without it.',
        'tear',
      ),
    ],
  },
  {
    at: ['set layer on', 'spread', 'weigh down', 'put in'],
    chapter: 'Fill and stack',
    faults: [
      fault(
        'runny',
        'The filling runs',
        'It creeps under the dam or out of the rim',
        'Chill bowl and stack for 20 minutes. If it still runs, fill thinner: what the layers above do not squeeze out is worked out here.',
        'thin',
      ),
      fault(
        'lean',
        'The stack leans',
        'One side is higher, or the side is not upright',
        'Push it upright within the first minutes, then measure the rim at four points and turn layers by the level plan.',
        'level',
      ),
      fault(
        'bulge',
        'A bulge at a filling',
        'Filling stands out beyond the layers',
        'Chill, scrape it off flush with the layers, and let it settle longer before the crumb coat.',
      ),
      fault(
        'torn-stack',
        'A layer is torn',
        'It breaks when it is lifted',
        'In two or three pieces: set it on its filling and close it with frosting. In crumbs: leave it out, and the plan is worked out without it.',
        'tear',
      ),
    ],
  },
  {
    at: ['mix', 'whip', 'cook'],
    chapter: 'Bowls',
    faults: frostingFaults,
  },
  {
    at: ['crumb', 'coat', 'pipe'],
    faults: frostingFaults,
  },
  {
    at: ['crumb', 'coat'],
    faults: [
      fault(
        'crumbs',
        'Crumbs in the coat',
        'Dark specks follow the scraper',
        'Stop, chill the crumb coat until it is firm, and begin again from a clean bowl. What is full of crumbs does not go back.',
      ),
      fault(
        'short-coat',
        'The frosting runs short',
        'More side than frosting',
        'Weigh what is left: the coat that it still gives is worked out here.',
        'left',
      ),
    ],
  },
  {
    at: ['drip', 'flood', 'pour'],
    faults: [
      fault(
        'hot',
        'Too hot, or too thin',
        'Drips run to the board, or the coat melts',
        'Wait until the thermometer says so, stirring now and then; chill the cake again for ten minutes.',
        'ganache',
      ),
      fault(
        'cold',
        'Too cold, or too thick',
        'It stops at once and stands in lumps',
        'Warm it in bursts of five seconds, stirring; never with water.',
        'ganache',
      ),
      fault(
        'too-long',
        'Drips too long',
        'They pass the height that was planned',
        'Cut them with a warm palette knife once set, or meet them with a border at the foot. Note the length: what follows is less.',
      ),
    ],
  },
  {
    at: ['cover', 'put in'],
    chapter: 'Coat',
    faults: [
      fault(
        'cracked',
        'The coat cracks',
        'Fine lines after the fridge, or at the rim',
        'Let it come to the room for ten minutes, and close the lines with a warm spatula and a little of the patching.',
      ),
    ],
  },
  {
    at: ['stack tier', 'drive', 'box'],
    faults: [
      fault(
        'shifted',
        'A tier has shifted',
        'The rims do not stand round each other evenly',
        'Chill it, two people, push with a flat board low at the side. Fill the gap with the border that was kept back. If a dowel has moved, lift the tier off and look.',
      ),
    ],
  },
];

/** The usual faults that show at a step, with their mends. */
export const faultsAt = ({ kind, chapter }: Pick<Step, 'kind' | 'chapter'>): StepFault[] =>
  atSteps
    .filter((one) => one.at.includes(kind) && (one.chapter ?? chapter) === chapter)
    .flatMap(({ faults }) => faults);

/**
 * Layers that may be the torn one at a step, and that the tier can do without: those it is about, or
 * any where it is about none of them.
 */
export const tornLayers = ({ layers }: Pick<Step, 'layers'>, tier: Tier): number[] =>
  (layers.length > 0 ? layers : [...tier.layers.keys()]).filter((layer) =>
    mayLeaveOut(tier, layer),
  );
