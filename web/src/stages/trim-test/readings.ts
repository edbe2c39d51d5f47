import type { TestResult, TestStep } from '@winculum/core';

/** What can be read at a step that is not right, in the words of the tester; of every kind of step where nothing is said. */
export const READINGS: readonly {
  readonly value: TestResult['reading'];
  readonly word: string;
  readonly kinds?: readonly TestStep['kind'][];
}[] = [
  { value: 'open-ground', word: 'open ground', kinds: ['receptacle'] },
  { value: 'open-neutral', word: 'open neutral', kinds: ['receptacle'] },
  { value: 'open-hot', word: 'open hot', kinds: ['receptacle'] },
  { value: 'hot-neutral-reversed', word: 'hot and neutral reversed', kinds: ['receptacle'] },
  { value: 'hot-ground-reversed', word: 'hot and ground reversed', kinds: ['receptacle'] },
  { value: 'no-trip', word: 'does not trip', kinds: ['gfci', 'breaker'] },
  { value: 'trips-others', word: 'others die, or something lives', kinds: ['gfci', 'breaker'] },
  { value: 'wrong-lights', word: 'the wrong lights, or not every flip', kinds: ['switch'] },
  { value: 'dead', word: 'dead' },
  { value: 'other', word: 'something else' },
];
export const wordOf = (reading: TestResult['reading']): string =>
  READINGS.find((one) => one.value === reading)?.word ?? 'right';
