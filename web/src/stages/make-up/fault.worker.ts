import {
  boxesOnTheWay,
  findFaults,
  netlistOf,
  positionsLooked,
  quickestTest,
  wireHouse,
  type Fault,
  type House,
  type Observation,
} from '@winculum/core';
import { answerIn } from '../../work/long-work';

export interface FaultJob {
  readonly house: House;
  readonly group: string;
  readonly seen: Observation;
}
export interface FaultAnswer {
  readonly sound: boolean;
  readonly suspects: readonly Pick<Fault, 'words' | 'remedy' | 'found'>[];
  readonly next: { readonly positions: readonly number[]; readonly says: readonly string[] } | undefined;
  readonly test:
    | {
        readonly label: string;
        readonly positions: readonly number[];
        readonly readings: readonly { readonly volts: number; readonly suspects: readonly string[] }[];
      }
    | undefined;
}

/** More suspects than this are not measured apart yet: another look at the lamps tells more. */
const MEASURED_UP_TO = 40;

answerIn<FaultJob, FaultAnswer | undefined>(self, ({ house, group, seen }, onProgress) => {
  const all = wireHouse(house);
  const wiring = all.units.find((one) => one.plan.chains.some((chain) => chain.group.group.id === group));
  if (!wiring) return undefined;
  const net = netlistOf(wiring, all.boxes, boxesOnTheWay(wiring, group));
  onProgress(
    0.1,
    `${positionsLooked(wiring.plan.chains.find((one) => one.group.group.id === group)!.order.length, seen).length} positions of every single fault`,
  );
  const { suspects, sound, next } = findFaults(net, group, seen);
  onProgress(0.7, 'the quickest test');
  const test =
    suspects.length > 1 && suspects.length <= MEASURED_UP_TO ? quickestTest(net, group, suspects) : undefined;
  return {
    sound,
    suspects: suspects.map(({ fault }) => ({ words: fault.words, remedy: fault.remedy, found: fault.found })),
    next,
    test: test && { label: test.label, positions: test.positions, readings: test.readings },
  };
});
