import { AWG_SIZES, type Awg, type ConductorSize } from '../house/schema';
import { RESISTANCE, type Metal } from './tables';

/** Advisory share of the voltage for a branch circuit. 210.19, informational note. */
export const DROP_BRANCH = 0.03;

interface Drop {
  readonly volts: number;
  readonly share: number;
}

/**
 * Voltage drop on the two conductors of a circuit: 2 × amperes × one-way feet × ohms per 1000 ft ÷ 1000 (Chapter 9 Table 8,
 * 75 °C: a lightly loaded cable is cooler and drops less). Reactance is left out: below No. 1 it is under a twentieth.
 */
export function voltageDrop(
  amps: number,
  oneWayFt: number,
  volts: 120 | 240,
  awg: ConductorSize,
  metal: Metal = 'copper',
): Drop {
  const ohms = RESISTANCE[awg][metal === 'copper' ? 1 : 2] / 1000;
  const drop = 2 * amps * oneWayFt * ohms;
  return { volts: drop, share: drop / volts };
}

/** The smallest size, not under one given, that keeps the drop within a share; undefined where none does. */
export const sizeForDrop = (
  amps: number,
  oneWayFt: number,
  volts: 120 | 240,
  from: Awg,
  share = DROP_BRANCH,
  metal: Metal = 'copper',
): Awg | undefined =>
  AWG_SIZES.slice(AWG_SIZES.indexOf(from)).find(
    (awg) => voltageDrop(amps, oneWayFt, volts, awg, metal).share <= share + 1e-9,
  );
