/** What was agreed with the one who ordered a cake. */
export interface Order {
  customer: string;
  /** Telephone, address or both, as it was given. */
  contact: string;
  /** In the money of the house; null where nothing was said. */
  priceOffered: number | null;
  deposit: number | null;
  depositPaid: boolean;
  /** The cake is wanted for certain. */
  confirmed: boolean;
  /** Photos of what is wished, by their ids. */
  pictures: string[];
  /** The cake that this one is made like, by its id. */
  likeId: string | null;
}

/** How far an order has come: nothing of an order yet, a price named, the cake wanted for certain. */
export type OrderState = 'open' | 'offered' | 'confirmed';

/** How far the order of a cake has come. */
export const orderState = ({ confirmed, priceOffered }: Order): OrderState =>
  confirmed ? 'confirmed' : priceOffered === null ? 'open' : 'offered';
