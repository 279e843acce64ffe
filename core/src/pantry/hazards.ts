/** What can hurt somebody at a step or in a recipe. Data, set where the step or the recipe is made. */
export const hazards = [
  'hot sugar',
  'hot fat or cream',
  'steam',
  'oven',
  'torch',
  'knife',
  'running machine',
  'drill or saw',
  'heavy lift',
  'raw egg',
  'lightly cooked egg',
  'raw flour',
  'small parts',
] as const;
export type Hazard = (typeof hazards)[number];

/** Hotter than this nothing is for children, nor for a helper who was not told, C. */
export const hotFor = { children: 45, helper: 50 } as const;

const notForChildren: readonly Hazard[] = [
  'hot sugar',
  'hot fat or cream',
  'steam',
  'oven',
  'torch',
  'knife',
  'running machine',
  'drill or saw',
  'heavy lift',
];
const toBeTold: readonly Hazard[] = ['hot sugar', 'hot fat or cream', 'steam', 'torch'];

/** What can hurt, and how hot it gets, C; null where nobody has said, and then it counts as hot. */
export interface Danger {
  hazards: readonly Hazard[];
  hotC: number | null;
}

const isHot = ({ hotC }: Danger, aboveC: number): boolean => hotC === null || hotC > aboveC;

/** True for what children must not do. */
export const isForGrownUps = (danger: Danger): boolean =>
  isHot(danger, hotFor.children) || danger.hazards.some((one) => notForChildren.includes(one));

/** True for what somebody who knows nothing of it can do without being told of a danger. */
export const isWithoutDanger = (danger: Danger): boolean =>
  !isHot(danger, hotFor.helper) && !danger.hazards.some((one) => toBeTold.includes(one));
