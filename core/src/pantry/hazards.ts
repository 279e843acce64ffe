/**
 * What can hurt somebody at a step or in a recipe, whether children may be near it all the same, and
 * whether a helper must be told of it. Data, set where the step or the recipe is made.
 */
const rules = {
  'hot sugar': { children: false, told: true },
  'hot fat or cream': { children: false, told: true },
  steam: { children: false, told: true },
  oven: { children: false, told: false },
  torch: { children: false, told: true },
  'open flame near vapour': { children: false, told: true },
  knife: { children: false, told: false },
  'running machine': { children: false, told: false },
  'drill or saw': { children: false, told: false },
  'heavy lift': { children: false, told: false },
  'raw egg': { children: true, told: false },
  'lightly cooked egg': { children: true, told: false },
  'raw flour': { children: true, told: false },
  'small parts': { children: true, told: false },
} as const;
export type Hazard = keyof typeof rules;
export const hazards = Object.keys(rules) as Hazard[];

/** Hotter than this nothing is for children, nor for a helper who was not told, C. */
export const hotFor = { children: 45, helper: 50 } as const;

/** What can hurt, and how hot it gets, C; null where nobody has said, and then it counts as hot. */
export interface Danger {
  hazards: readonly Hazard[];
  hotC: number | null;
}

const isHot = ({ hotC }: Danger, aboveC: number): boolean => hotC === null || hotC > aboveC;

/** True for what children must not do. */
export const isForGrownUps = (danger: Danger): boolean =>
  isHot(danger, hotFor.children) || danger.hazards.some((one) => !rules[one].children);

/** True for what somebody who knows nothing of it can do without being told of a danger. */
export const isWithoutDanger = (danger: Danger): boolean =>
  !isHot(danger, hotFor.helper) && !danger.hazards.some((one) => rules[one].told);
