import { gravity } from '../units/gravity.ts';
/**
 * What runs down a side: a fluid that moves only above a yield stress. Both laws are of its own
 * temperature, C; stress in Pa, viscosity in Pa·s.
 */
export interface DripFluid {
  name: string;
  densityGPerMl: number;
  /** Diffusivity, m2/s. */
  alpha: number;
  /** Effusivity of the coat over its own: 0.6 buttercream, 1 ganache. */
  coatEffusivity: number;
  stressPa: (tempC: number) => number;
  viscosityPaS: (tempC: number) => number;
}

/** What a law is at 32 C for a firmness index of 1.6 (docs/model.md#ganache-and-drips, estimates). */
const stress32 = 8;
const viscosity32 = 3;
const refC = 32;
const refIndex = 1.6;

/**
 * A ganache by its firmness index F: tau = 8·exp(-0.18·(T - 32))·(F/1.6)², eta =
 * 3·exp(-0.07·(T - 32))·(F/1.6)^1.5.
 *
 * @param stiffer factor on the yield stress that test drips have found, 1 before
 */
export const ganacheFluid = (firmness: number, stiffer = 1, coatEffusivity = 0.6): DripFluid => ({
  name: 'ganache',
  densityGPerMl: 1.15,
  alpha: 1e-7,
  coatEffusivity,
  stressPa: (t) => stiffer * stress32 * Math.exp(-0.18 * (t - refC)) * (firmness / refIndex) ** 2,
  viscosityPaS: (t) => viscosity32 * Math.exp(-0.07 * (t - refC)) * (firmness / refIndex) ** 1.5,
});

const otherRows = {
  'tempered dark chocolate': { atC: 32, stress: 10, viscosity: 3, density: 1.25 },
  'compound coating': { atC: 40, stress: 5, viscosity: 2, density: 1.2 },
  caramel: { atC: 32, stress: 5, viscosity: 12, density: 1.3 },
  'butterscotch sauce': { atC: 32, stress: 3, viscosity: 6, density: 1.2 },
  'mirror glaze': { atC: 33, stress: 12, viscosity: 2, density: 1.25 },
  'sugar glaze': { atC: 30, stress: 4, viscosity: 3, density: 1.35 },
} as const;
export type OtherFluid = keyof typeof otherRows;
export const otherFluids = Object.keys(otherRows) as OtherFluid[];

/** Melted chocolate, caramel, butterscotch and glazes, their laws as steep as the ganache's (estimates). */
export function otherFluid(kind: OtherFluid, stiffer = 1, coatEffusivity = 0.6): DripFluid {
  const row = otherRows[kind];
  return {
    name: kind,
    densityGPerMl: row.density,
    alpha: 1e-7,
    coatEffusivity,
    stressPa: (t) => stiffer * row.stress * Math.exp(-0.18 * (t - row.atC)),
    viscosityPaS: (t) => row.viscosity * Math.exp(-0.07 * (t - row.atC)),
  };
}

/** A fluid by its name and figures, as it travels to a worker. */
export interface FluidSpec {
  kind: 'ganache' | OtherFluid;
  /** Firmness index of a ganache; not read for others. */
  firmness: number;
  /** Factor on the yield stress that test drips have found, 1 before. */
  stiffer: number;
  coatEffusivity: number;
}

/** The fluid that a spec names. */
export const fluidFrom = ({ kind, firmness, stiffer, coatEffusivity }: FluidSpec): DripFluid =>
  kind === 'ganache'
    ? ganacheFluid(firmness, stiffer, coatEffusivity)
    : otherFluid(kind, stiffer, coatEffusivity);

/** Thickness at which a film of it stands on an upright side, mm: tau over rho·g. */
export const standsAtMm = (fluid: DripFluid, tempC: number): number =>
  fluid.stressPa(tempC) / (fluid.densityGPerMl * gravity);

/**
 * Temperature of an element of film after it has taken `s` of cooling, the integral of
 * 2.47·alpha/d² since it left the rim: Tc + (T0 - Tc)/(1 + 0.54·b·s^0.75).
 */
export const filmTempC = (fluid: DripFluid, s: number, fluidC: number, coatC: number): number =>
  coatC + (fluidC - coatC) / (1 + 0.54 * fluid.coatEffusivity * s ** 0.75);
