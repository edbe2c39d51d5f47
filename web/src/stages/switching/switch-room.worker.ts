import { planBoxes, type BoxingPlan, type House } from '@winculum/core';
import { newId } from '../../new-id';
import { answerIn } from '../../work/long-work';

export interface SwitchJob {
  readonly house: House;
  readonly rooms: readonly string[];
}

/** Switches and their groups only: the rest of what boxing would set down is left out. */
answerIn<SwitchJob, BoxingPlan>(self, ({ house, rooms }, onProgress) => {
  const plan = planBoxes(house, rooms, newId, onProgress);
  return { ...plan, boxes: plan.boxes.filter(({ box }) => box.devices.every((one) => one.kind === 'switch')) };
});
