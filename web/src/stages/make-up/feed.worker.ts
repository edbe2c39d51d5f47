import { leastFeet, leastFeetOfHouse, wireHouse, type FeedPlan, type House } from '@winculum/core';
import { answerIn } from '../../work/long-work';

export interface FeedJob {
  readonly house: House;
  /** The circuit to look at; all that are not drawn by hand when it is left out. */
  readonly unit?: string;
}

answerIn<FeedJob, readonly FeedPlan[]>(self, ({ house, unit }, onProgress) => {
  if (unit === undefined) return leastFeetOfHouse(house, onProgress);
  const wiring = wireHouse(house).units.find((one) => one.unit.id === unit);
  return wiring ? [leastFeet(house, wiring.unit, onProgress)] : [];
});
