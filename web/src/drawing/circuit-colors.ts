import { spaceMark, type Circuit } from '@winculum/core';

/** Ink colors that stay apart on paper; the number and the ring of each symbol carry the same, for print and for color-blind eyes. */
const INKS = [
  '#1F5C7A',
  '#8A3B12',
  '#2F6A3F',
  '#6A3D8A',
  '#8A5600',
  '#0F6B66',
  '#9A2E5A',
  '#4A5560',
  '#5B6B12',
  '#7A1F1F',
  '#31408F',
  '#6B4A2B',
] as const;

export function inkOf(circuit: Circuit, circuits: readonly Circuit[]): string {
  const index = circuits.findIndex((one) => one.id === circuit.id);
  // Lighter on a dark ground, so that numbers stay readable there.
  return `color-mix(in srgb, ${INKS[index % INKS.length]!}, #fff var(--ink-lift))`;
}

/**
 * The ring around each outlet: strokes and gaps that stay apart without color. Eight of them beside twelve inks, so that two
 * circuits of one ink have different rings. In parts of the symbol's size; a ring is about eleven long.
 */
const RINGS = [
  'none',
  '1.2 .65',
  '.35 .55',
  '2.2 .55 .35 .55',
  '3.1 .6',
  '.9 .45 .35 .45 .35 .45',
  '5 .55',
  '.3 1.1',
] as const;

export function ringOf(circuit: Circuit, circuits: readonly Circuit[]): string {
  const index = circuits.findIndex((one) => one.id === circuit.id);
  return RINGS[index % RINGS.length]!;
}

/** The number written at each outlet: the panel space, or the place in the list while it has none. */
export const numberOf = (circuit: Circuit, circuits: readonly Circuit[]): string =>
  spaceMark(circuit) ?? `n${circuits.findIndex((one) => one.id === circuit.id) + 1}`;
