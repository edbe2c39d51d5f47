import { planBoxes, type BoxingPlan, type House } from '@winculum/core';
import { newId } from '../../new-id';
import { answerIn } from '../../work/long-work';

export interface BoxingJob {
  readonly house: House;
  readonly rooms: readonly string[];
}

answerIn<BoxingJob, BoxingPlan>(self, ({ house, rooms }, onProgress) => planBoxes(house, rooms, newId, onProgress));
