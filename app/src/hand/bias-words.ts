import { handFactor, handRows, type Hand, type HandKind } from '@pyrgotect/core';

/** "+12 %", "−4 %", "as planned". */
export function offBy(ratio: number): string {
  const percent = Math.round((ratio - 1) * 100);
  return percent === 0 ? 'as planned' : `${percent > 0 ? '+' : '−'}${Math.abs(percent)} %`;
}

/** "you spread thicker than planned, by 12 %". */
export function biasWords(kind: HandKind, hand: Hand): string {
  const percent = Math.round(Math.abs(handFactor(hand) - 1) * 100);
  if (percent === 0) return 'as planned';
  return `${handFactor(hand) > 1 ? handRows[kind].over : handRows[kind].under}, by ${percent} %`;
}
