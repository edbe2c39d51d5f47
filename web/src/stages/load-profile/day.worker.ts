import { simulateDay, type CurveName, type DayItem, type DayResult, type House } from '@winculum/core';

export interface DayJob {
  readonly n: number;
  readonly house: House;
  readonly items: readonly DayItem[];
  readonly curve: CurveName;
}
export interface DayAnswer {
  readonly n: number;
  readonly day: DayResult;
}

self.onmessage = (event: MessageEvent<DayJob>) => {
  const { n, house, items, curve } = event.data;
  self.postMessage({ n, day: simulateDay(house, items, curve) } satisfies DayAnswer);
};
