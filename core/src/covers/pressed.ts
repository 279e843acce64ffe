import type { Tier } from '../document/types.ts';
import { areaMm2, perimeterMm, type Outline } from '../outline/outline.ts';
import { phrase } from '../units/phrase.ts';
import type { Caution } from '../working/cautions.ts';

/** Share of what is pressed on that falls and is lifted again: have it at hand (estimate). */
const fallsShare = 0.15;

/** Pieces pressed on one tier. Area in mm2, masses in g. */
export interface PressedPlan {
  name: string;
  sideMm2: number;
  topMm2: number;
  massG: number;
  /** With what falls to the tray; it is used again. */
  atHandG: number;
}

/** Nuts, sprinkles or shavings by area, cover and band (docs/model.md#covers). */
export function planPressed(tier: Tier, outline: Outline, heightMm: number): PressedPlan | null {
  if (!tier.pressed) return null;
  const { name, gPerCm2, cover, bandMm, onTop } = tier.pressed;
  const sideMm2 = perimeterMm(outline) * Math.min(heightMm, bandMm ?? heightMm);
  const topMm2 = onTop ? areaMm2(outline) : 0;
  const massG = ((sideMm2 + topMm2) / 100) * cover * gPerCm2;
  return { name, sideMm2, topMm2, massG, atHandG: massG * (1 + fallsShare) };
}

/** Coat that pieces need to be pressed into, mm (docs/model.md#covers). */
const holdsPiecesMm = 5;

/** Pieces on a coat too thin to hold them, or on one that is covered. */
export function warnOfPressed(tier: Tier, sideMm: number, cautions: Caution[]): void {
  if (!tier.pressed) return;
  const part = `${tier.id}/coat`;
  if (tier.fondant)
    cautions.push({
      id: `${tier.id}/pressed on fondant`,
      severity: 'mind',
      stage: 'coat',
      part,
      title: phrase(`Fondant does not take ${tier.pressed.name.toLowerCase()} pressed into it.`),
      todo: phrase('Brush the fondant with water or jelly where they go, or leave it off.'),
    });
  else if (sideMm < holdsPiecesMm)
    cautions.push({
      id: `${tier.id}/pressed thin`,
      severity: 'mind',
      stage: 'coat',
      part,
      title: phrase(`{thick} of coat is thin for ${tier.pressed.name.toLowerCase()} to hold in.`, {
        thick: [sideMm, 'thickness'],
      }),
      todo: phrase('Make it {least} or more, and press while it is soft.', {
        least: [holdsPiecesMm, 'thickness'],
      }),
      advised: { do: 'coat side', tierId: tier.id, mm: holdsPiecesMm },
    });
}
