export const screens: string[] = [
  '/', '/new', '/calendar', '/calendar?view=week', '/shopping', '/learnt', '/learnt?turn=practice', '/help',
  ...['sponges','spreads','tins','boards','others','recipes','foods','ganaches','dowels','stock','kitchen'].map((t)=>`/pantry?table=${t}`),
  '/build/jubilee/brief',
  ...['layers','height','level','fillings','centre'].map((t)=>`/build/jubilee/stack?turn=${t}`),
  ...['tins','oven','heat','cut','bowl'].map((t)=>`/build/jubilee/bake?turn=${t}`),
  ...['cuts','guides','offcuts','stackfor','carved'].map((t)=>`/build/jubilee/carve?turn=${t}`),
  ...['coat','bowls','chance','covers','right','cost'].map((t)=>`/build/jubilee/coat?turn=${t}`),
  ...['drips','ganache','pour','piping','toppings','right'].map((t)=>`/build/jubilee/finish?turn=${t}`),
  ...['stand','dowels','road','cut','count'].map((t)=>`/build/jubilee/support?turn=${t}`),
  ...['hours','tasks','now','keeping','warmth','log','lists'].map((t)=>`/build/jubilee/day?turn=${t}`),
  '/build/meridian/bench', '/build/meridian/print', '/nowhere',
];
