import { hotCaution } from './finish-steps.ts';
import { knifeCaution, ovenCaution, type Step } from './steps.ts';
import { sawCaution } from './support-steps.ts';

/* Who may do a step: what is no work for children, and what somebody else can take. */

const dangers = new Set<string>(
  [knifeCaution, ovenCaution, hotCaution, sawCaution].map(({ text }) => text),
);
/** Steps by their keys that are hot, sharp or heavy, whatever their cautions say. */
const grownUps = /\/(bake|cool|cut\/\d+|carve\/.*|torch|core)$|^cut\/|^in\/|^road$/;
/** Said of boiling or hot sugar, gas and weights. */
const hot = /boil|caramel|hot|torch|burn|two people|simmer/i;
/** What goes well beside the main work, alone and without an eye for the cake. */
const beside =
  /\/(weigh|line|settle|crumb-chill|coat-chill|cool|divide|soak)$|^cut\/|^box$|\/aside$|^board-cover$|\/make$|\/tray$/;

/** True for what children must not do. */
export const isForGrownUps = (step: Step): boolean =>
  grownUps.test(step.key) ||
  step.cautions.some(({ text }) => dangers.has(text)) ||
  hot.test([step.lead?.text ?? '', ...step.cautions.map(({ text }) => text)].join(' '));

/** True for what a second pair of hands can take while the first goes on. */
export const isForHelper = (step: Step): boolean => beside.test(step.key);
