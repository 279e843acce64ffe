import { phrase, type Phrase } from '../units/phrase.ts';
import { newDowels, usualCard } from './create.ts';
import type { Build, SoakStyle, Tier } from './types.ts';

/**
 * What a caution advises, where one edit does it: the choice of figures is the caution's, which has worked
 * them out. Gaps and layers are counted from 0.
 */
export type AdvisedEdit =
  | { do: 'dam'; tierId: string; gaps: number[]; mm: number }
  | { do: 'less dam'; tierId: string; gap: number }
  | { do: 'core lid'; tierId: string; toLayer: number }
  | { do: 'soak'; tierId: string; style: SoakStyle }
  | { do: 'rim'; tierId: string; mm: number }
  | { do: 'coat side'; tierId: string; mm: number }
  | { do: 'slices'; tierId: string; perCake: number }
  | { do: 'dowels'; tierId: string }
  | { do: 'card'; tierId: string }
  | { do: 'as many as fit'; jobId: string };

const soakWords: Record<SoakStyle, string> = {
  none: 'Leave the soak off',
  light: 'Soak it lightly',
  medium: 'Soak it moderately',
  generous: 'Soak it generously',
};

/** What the button says that does it. */
export function advisedWords(advised: AdvisedEdit): Phrase {
  switch (advised.do) {
    case 'dam':
      return phrase('Put a dam of {mm}', { mm: [advised.mm, 'thickness'] });
    case 'less dam':
      return phrase('Leave dam and setback off');
    case 'core lid':
      return phrase('Leave a lid');
    case 'soak':
      return phrase(soakWords[advised.style]);
    case 'rim':
      return phrase('Round it to {mm}', { mm: [advised.mm, 'thickness'] });
    case 'coat side':
      return phrase('Coat the side {mm} thick', { mm: [advised.mm, 'thickness'] });
    case 'slices':
      return phrase(
        advised.perCake === 1 ? 'Bake each layer alone' : `Split each cake into ${advised.perCake}`,
      );
    case 'dowels':
      return phrase('Put dowels in');
    case 'card':
      return phrase('Add a board');
    case 'as many as fit':
      return phrase('Take as many as fit');
  }
}

/**
 * Does it on a draft, in place. What it speaks of and is no longer there is left alone.
 * @returns whether anything was there to change
 */
export function applyAdvised(draft: Build, advised: AdvisedEdit): boolean {
  if (advised.do === 'as many as fit') {
    const piped = draft.piping.find(({ id }) => id === advised.jobId)?.piped;
    if (piped) piped.count = null;
    return Boolean(piped);
  }
  const tier = draft.tiers.find(({ id }) => id === advised.tierId);
  return tier !== undefined && applyToTier(tier, advised);
}

function applyToTier(tier: Tier, advised: Exclude<AdvisedEdit, { do: 'as many as fit' }>): boolean {
  switch (advised.do) {
    case 'dam': {
      const gaps = advised.gaps.flatMap((i) => tier.gaps[i] ?? []);
      for (const gap of gaps) gap.damMm = advised.mm;
      return gaps.length > 0;
    }
    case 'less dam': {
      const gap = tier.gaps[advised.gap];
      if (gap) Object.assign(gap, { damMm: 0, setbackMm: 0 });
      return gap !== undefined;
    }
    case 'core lid':
      if (!tier.centre || advised.toLayer < tier.centre.fromLayer) return false;
      tier.centre.toLayer = advised.toLayer;
      return true;
    case 'soak':
      tier.soak = advised.style;
      for (const layer of tier.layers) layer.soak = null;
      return true;
    case 'rim':
      tier.coat.rimMm = advised.mm;
      return true;
    case 'coat side':
      tier.coat.sideMm = advised.mm;
      return true;
    case 'slices':
      tier.slicesPerCake = advised.perCake;
      return true;
    case 'dowels':
      tier.stand.dowels ??= newDowels();
      return true;
    case 'card':
      tier.stand.card ??= usualCard();
      return true;
  }
}
