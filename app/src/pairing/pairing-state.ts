import type { Trouble } from '@pyrgotect/core/pairing';
import type { BothChanged } from './kept-replica.ts';

/** How a device stands to the others of its kitchen. */
export type Phase = 'alone' | 'connecting' | 'together' | 'away' | 'shut out' | 'newer';
export interface DeviceLine {
  id: string;
  name: string;
  isThis: boolean;
  isHere: boolean;
  lastAt: string | null;
}
export interface PairingState {
  phase: Phase;
  devices: DeviceLine[];
  /** The code that is shown, and at which addresses a new device finds this server. */
  offer: { code: string; shown: string; addresses: string[] } | null;
  /** The share of everything that a new device was sent; null while none is. */
  sending: number | null;
  /** What was said of the last meeting, in words. */
  said: string;
  troubles: (Trouble | BothChanged)[];
}
export const aloneState: PairingState = {
  phase: 'alone',
  devices: [],
  offer: null,
  sending: null,
  said: '',
  troubles: [],
};
