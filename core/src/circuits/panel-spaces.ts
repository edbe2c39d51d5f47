import type { Circuit } from '../house/schema';

/** The spaces a circuit takes: a two-pole breaker takes two below each other, one on each leg. */
export const spacesOf = (circuit: Pick<Circuit, 'poles' | 'space'>): number[] =>
  circuit.space === null ? [] : circuit.poles === 2 ? [circuit.space, circuit.space + 2] : [circuit.space];

/** The number that a circuit goes by in its panel: 5, or 5B of a tandem breaker; undefined until it is placed. */
export const spaceMark = ({ space, half }: Pick<Circuit, 'space' | 'half'>): string | undefined =>
  space === null ? undefined : `${space}${half?.toUpperCase() ?? ''}`;

/** All of its spaces: 5, 5-7, or 5B; empty until it is placed. */
export const spaceWord = (circuit: Pick<Circuit, 'poles' | 'space' | 'half'>): string =>
  circuit.poles === 2 ? spacesOf(circuit).join('-') : (spaceMark(circuit) ?? '');

/** Whether two circuits are the halves of one tandem breaker. */
export const areHalves = (one: Circuit, other: Circuit): boolean =>
  one.poles === 1 && other.poles === 1 && one.half !== undefined && other.half !== undefined && one.half !== other.half;
