import type { Tier } from '../document/types.ts';
import { areaMm2, type Outline } from '../outline/outline.ts';
import type { BoardMaterial, Source } from '../pantry/types.ts';
import type { Card } from './types.ts';

/** Stiffness, what the gross end of a dowel may press on, and density of boards (docs/model.md#support). */
export const boardMaterialRows: Record<
  BoardMaterial,
  { modulusGPa: number; bearsMPa: number; densityGPerMl: number; source: Source }
> = {
  card: { modulusGPa: 1, bearsMPa: 3, densityGPerMl: 0.75, source: 'estimate' },
  'foam board': { modulusGPa: 0.3, bearsMPa: 1, densityGPerMl: 0.1, source: 'estimate' },
  corrugated: { modulusGPa: 0.3, bearsMPa: 0.5, densityGPerMl: 0.15, source: 'estimate' },
  drum: { modulusGPa: 0.3, bearsMPa: 3, densityGPerMl: 0.38, source: 'estimate' },
  MDF: { modulusGPa: 3, bearsMPa: 10, densityGPerMl: 0.75, source: 'textbook' },
  acrylic: { modulusGPa: 3, bearsMPa: 30, densityGPerMl: 1.18, source: 'textbook' },
};

/** What a board cut to an outline weighs, g. */
export const cardMassG = (outline: Outline, card: Card): number =>
  (areaMm2(outline) * card.thicknessMm * boardMaterialRows[card.material].densityGPerMl) / 1000;

/** Boards that travel in and under a tier besides the build's own, g. */
export const cardsG = ({ outline, stand }: Tier, isLowest: boolean): number =>
  (stand.card && !isLowest ? cardMassG(outline, stand.card) : 0) +
  stand.decks.reduce((sum, deck) => sum + cardMassG(outline, deck.card), 0);
