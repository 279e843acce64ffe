import type { HandKind } from './kinds.ts';

export interface HandRow {
  title: string;
  /** Coefficient of variation before anything is known (docs/model.md#chance; losses and waits are estimates). */
  cv: number;
  /** What is noted of it at the bench. */
  noted: string;
  /** What the plan does with it. */
  moves: string;
  /** What it means when more comes out than was planned. */
  over: string;
  under: string;
}

const coat = (title: string): HandRow => ({
  title,
  cv: 0.18,
  noted: 'the bowl before and after the coat',
  moves: 'the frosting made for such coats',
  over: 'you spread thicker than planned',
  under: 'you spread thinner than planned',
});

/** Every kind with its name, its spread at first and what it does to a plan. */
export const handRows: Record<HandKind, HandRow> = {
  fill: {
    title: 'Fillings',
    cv: 0.04,
    noted: 'what went into a filling, on the scale',
    moves: 'the filling made',
    over: 'you fill more than planned',
    under: 'you fill less than planned',
  },
  crumb: {
    title: 'Crumb coats and thin coats',
    cv: 0.18,
    noted: 'the bowl before and after the crumb coat',
    moves: 'the frosting made for crumb coats',
    over: 'you spread thicker than planned',
    under: 'you scrape thinner than planned',
  },
  'coat smooth': coat('Smooth coats'),
  'coat rustic': coat('Rustic coats'),
  'coat combed': coat('Combed coats'),
  'coat thick': coat('Thick coats'),
  'coat under fondant': coat('Coats under fondant'),
  'coat ganache shell': coat('Ganache shells'),
  piping: {
    title: 'Piping',
    cv: 0.2,
    noted: 'the bag before and after',
    moves: 'the frosting made for piping',
    over: 'you press harder than planned',
    under: 'you press more lightly than planned',
  },
  drip: {
    title: 'Length of drips',
    cv: 0.25,
    noted: 'how far the drips ran',
    moves: 'the ganache made for drips',
    over: 'your drips run further than planned',
    under: 'your drips stop sooner than planned',
  },
  loss: {
    title: 'What stays in bowls',
    cv: 0.3,
    noted: 'what stayed behind in a bowl',
    moves: 'what is reckoned as lost',
    over: 'more stays behind than planned',
    under: 'less stays behind than planned',
  },
  batter: {
    title: 'Batter made',
    cv: 0.04,
    noted: 'what the batter weighed',
    moves: 'the ingredients weighed for batter',
    over: 'your batters come out larger',
    under: 'your batters come out smaller',
  },
  rise: {
    title: 'Baked height',
    cv: 0.08,
    noted: 'how high a cake came out of the oven',
    moves: 'the batter in each tin',
    over: 'your cakes rise higher',
    under: 'your cakes rise less',
  },
  bake: {
    title: 'Minutes in the oven',
    cv: 0.3,
    noted: 'the minutes until it was done',
    moves: 'when a cake is likely done',
    over: 'your oven takes longer',
    under: 'your oven is quicker',
  },
  chill: {
    title: 'Chilling and setting',
    cv: 0.3,
    noted: 'the minutes until it was firm',
    moves: 'the waits in the fridge',
    over: 'your fridge takes longer',
    under: 'your fridge is quicker',
  },
  time: {
    title: 'Minutes of work',
    cv: 0.3,
    noted: 'the minutes that a step took',
    moves: 'the hours of work and the plan of the days',
    over: 'you take longer than the usual times',
    under: 'you are quicker than the usual times',
  },
};
