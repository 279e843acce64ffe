/** A word that somebody who bakes may not know, in one sentence; drawn where a picture says more. */
export interface Term {
  word: string;
  means: string;
  drawn?: TermDrawing;
}
export type TermDrawing =
  | 'torte'
  | 'dam'
  | 'crumb coat'
  | 'dowel'
  | 'rod'
  | 'drip'
  | 'dome'
  | 'hidden centre'
  | 'board half-way up'
  | 'creep';

/** Every word of the screens that is not kitchen language, by its id. */
export const terms = {
  bench: {
    word: 'bench',
    means:
      'The place where it is made: the steps in order, one at a time, with amounts and timers.',
  },
  board: {
    word: 'board',
    means: 'What the whole cake stands on; a card is the thin one under a single tier.',
  },
  'board half-way up': {
    word: 'board half-way up',
    means:
      'A card between the layers of one tall tier, on dowels of its own, so that the lower layers carry half.',
    drawn: 'board half-way up',
  },
  bowl: {
    word: 'bowl',
    means: 'One filling or frosting in one colour, with everything that is taken from it.',
  },
  braking: {
    word: 'a hard braking',
    means:
      'A push sideways of half of what the cake weighs, as when a car stops suddenly. Held twice over is safe for the road.',
  },
  coat: { word: 'coat', means: 'The frosting outside that is seen, over the crumb coat.' },
  creep: {
    word: 'creep',
    means: 'A soft filling goes on sinking and bulging under the weight of the layers above it.',
    drawn: 'creep',
  },
  crumb: {
    word: 'crumb coat',
    means: 'A thin first coat that holds the crumbs, chilled before the real one.',
    drawn: 'crumb coat',
  },
  dam: {
    word: 'dam',
    means: 'A ring of firm frosting round the edge of a layer, which keeps a soft filling in.',
    drawn: 'dam',
  },
  dome: {
    word: 'dome',
    means: 'How much higher a cake bakes in its middle; it is cut off, or pressed down while warm.',
    drawn: 'dome',
  },
  dowel: {
    word: 'dowel',
    means:
      'A stick or straw in a tier that carries the board of the tier above, so that cake does not have to.',
    drawn: 'dowel',
  },
  drip: {
    word: 'drip',
    means: 'Ganache let over the rim, which runs until it is too cold and too thin to run on.',
    drawn: 'drip',
  },
  flood: { word: 'flood', means: 'Ganache poured over the top inside its drips.' },
  fluid: {
    word: 'poured at',
    means:
      'How warm the ganache is when it leaves the spoon: warmer runs further and stays thinner.',
  },
  'hands-on': {
    word: 'hands-on',
    means: 'Minutes in which somebody works at it; baking and chilling are waits beside them.',
  },
  'hidden centre': {
    word: 'hidden centre',
    means: 'A core cut out of the layers and filled, closed with the topmost one.',
    drawn: 'hidden centre',
  },
  kerf: {
    word: 'lost to the knife',
    means: 'The crumb that a cut costs: as thick as the blade saws.',
  },
  'kitchen cake': {
    word: 'kitchen cake',
    means: 'A plain cake cut out of sight, which serves some of the guests.',
  },
  learnt: {
    word: 'learnt',
    means:
      'What your notes from the bench say of your own ways: plans follow it, and say by how much.',
  },
  levelling: {
    word: 'levelling',
    means: 'Getting the top of a cake flat before it is stacked: cut off, pressed, or turned over.',
  },
  offcut: {
    word: 'offcut',
    means: 'What the knife takes off, weighed, and what it still does for.',
  },
  pattern: { word: 'pattern', means: 'A cake without a date, kept to make cakes from.' },
  poured: {
    word: 'poured coat',
    means:
      'A coat of ganache or glaze poured in one go, thin on the sides; what runs off is caught and used again.',
  },
  reserve: { word: 'reserve', means: 'A share of the coat that is kept back for mending.' },
  rod: {
    word: 'rod',
    means: 'One stick through all tiers into the board: for the road. It comes out before serving.',
    drawn: 'rod',
  },
  section: {
    word: 'section',
    means: 'The cake cut through its middle, to scale: what is drawn there can be dragged.',
  },
  setback: {
    word: 'set back from the edge',
    means:
      'A room left free at the edge of a filling, which goes there when the layer is pressed on.',
  },
  short: {
    word: 'chance of falling short',
    means: 'How often a bowl may run out before the cake is done; less of it means more left over.',
  },
  soak: {
    word: 'soak',
    means: 'Syrup or milk brushed on a layer: it keeps it moist, and heavier.',
  },
  stretch: {
    word: 'stretch',
    means: 'Work that goes on without a longer break, and is set up for at once.',
  },
  tally: {
    word: 'tally',
    means:
      'The row of figures at the foot: what the cake comes to, always of what stands there now.',
  },
  tier: { word: 'tier', means: 'One stack of layers on its own card; tiers stand on each other.' },
  torte: {
    word: 'torte',
    means: 'To cut a baked cake level into thinner layers.',
    drawn: 'torte',
  },
  working: { word: 'working', means: 'How a figure came about, line by line: press any figure.' },
} satisfies Record<string, Term>;
export type TermId = keyof typeof terms;

/** All words in the order of the alphabet. */
export const termList: (Term & { id: TermId })[] = (Object.entries(terms) as [TermId, Term][])
  .map(([id, term]) => ({ id, ...term }))
  .sort((a, b) => a.word.localeCompare(b.word));
