import { asObject, type Loose } from '../loose.ts';

/* From version 16 to 17: a cake knows who ordered it and what was agreed, and can be kept as a pattern. */

/** Fields that version 17 added to a build. */
export function buildFrom16(value: unknown): Loose {
  return {
    order: {
      customer: '',
      contact: '',
      priceOffered: null,
      deposit: null,
      depositPaid: false,
      confirmed: false,
      pictures: [],
      likeId: null,
    },
    isPattern: false,
    ...asObject(value),
  };
}
