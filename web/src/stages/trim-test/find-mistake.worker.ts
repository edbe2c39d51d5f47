import {
  suspectsOf,
  testedUnits,
  testScript,
  unitOf,
  type House,
  type Suspected,
  type TestResult,
} from '@winculum/core';
import { answerIn } from '../../work/long-work';

export interface MistakeJob {
  readonly house: House;
  /** The step that read wrong: its circuit is searched. */
  readonly step: string;
  readonly readings: ReadonlyMap<string, TestResult['reading']>;
}
export interface MistakeAnswer {
  readonly suspects: readonly Suspected[];
  /** Steps of the circuit that were tried. */
  readonly tried: number;
  readonly steps: number;
}

answerIn<MistakeJob, MistakeAnswer | undefined>(self, ({ house, step, readings }, onProgress) => {
  const script = testScript(house);
  const units = testedUnits(house);
  const wrong = script.find((one) => one.id === step);
  const unit = wrong && unitOf(units, wrong);
  if (!unit) return undefined;
  const own = script.filter((one) => unitOf([unit], one));
  return {
    suspects: suspectsOf(unit, own, readings, (share) => {
      onProgress(share, 'every single mistake on this circuit');
      return true;
    }),
    tried: own.filter((one) => readings.has(one.id)).length,
    steps: own.length,
  };
});
