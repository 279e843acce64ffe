import type { Kind, Stock } from '@pyrgotect/core';

/** "4 layers", "430 g" */
export const leftText = (
  { layer }: Stock,
  amount: number,
  text: (value: number, kind: Kind) => string,
): string =>
  layer === null ? text(amount, 'bowl') : `${amount} ${amount === 1 ? 'layer' : 'layers'}`;

/** "Chocolate rounds, 4 layers left" */
export const stockChoice = (
  row: Stock,
  left: number,
  text: (value: number, kind: Kind) => string,
): string => `${row.name}, ${leftText(row, left, text)} left`;
