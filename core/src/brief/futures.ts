import { yokesIn } from '../house/yokes';
import { indexOutlets } from '../circuits/outlets';
import { SLEEVE_NAMES, type House } from '../house/schema';
import { placeOfEnd } from '../service/sleeve-fill';
import { describeBox } from '../walk/walk-sheets';
import { spaceWord } from '../circuits/panel-spaces';

/** Something that is prepared and not in use: where its end lies, so that it is found again. */
export interface Future {
  readonly what: string;
  readonly where: string;
  readonly note: string;
  readonly box: string | undefined;
}

/** Every end that waits: boxes for later, sleeves, circuits in the panel that feed nothing yet, islands ready for a receptacle. */
export function futuresOf(house: House): readonly Future[] {
  const roomName = (id: string) => house.rooms[id]?.name ?? '';
  const boxes = Object.values(house.boxes).flatMap((box): Future[] => {
    const sleeve = Object.values(box.devices).some((one) => one.kind === 'low-voltage' && one.system === 'sleeve');
    const spare = box.at.kind === 'wall' && box.gangs > Math.max(1, yokesIn(box));
    if (box.state !== 'future' && !sleeve && !spare) return [];
    const what = sleeve ? 'sleeve' : spare && box.state !== 'future' ? 'spare gang' : describeBox(box);
    return [{ what, where: `${box.tag}, ${roomName(box.room)}`, note: box.note ?? '', box: box.id }];
  });
  const { byCircuit } = indexOutlets(house);
  const circuits = Object.values(house.circuits)
    .filter((one) => one.space !== null && (byCircuit.get(one.id) ?? []).length === 0)
    .map((one): Future => {
      const panel = one.panel === null ? '' : (house.panels[one.panel]?.name ?? '');
      return {
        what: 'circuit kept free',
        where: `${panel} ${spaceWord(one)}`,
        note: one.name,
        box: undefined,
      };
    });
  const islands = Object.values(house.features)
    .filter((one) => one.provision)
    .map((one): Future => ({
      what: 'provision for a receptacle',
      where: roomName(one.room),
      note: one.name,
      box: undefined,
    }));
  const sleeves = Object.values(house.sleeves).map((one): Future => ({
    what: `sleeve ${one.name}, ${one.trade} in ${SLEEVE_NAMES[one.kind]}`,
    where: `${placeOfEnd(house, one.from)} to ${placeOfEnd(house, one.to)}`,
    note: [
      one.holds.length === 0 ? 'empty' : '',
      one.pullString ? 'pull string in it' : '',
      one.from.capped && one.to.capped
        ? 'capped at both ends'
        : one.from.capped || one.to.capped
          ? 'one end capped'
          : '',
      one.note,
    ]
      .filter(Boolean)
      .join(', '),
    box: undefined,
  }));
  return [...boxes, ...sleeves, ...circuits, ...islands];
}

/** How many boxes the code requires, and how many somebody has requested, by whom. */
interface Origins {
  readonly code: number;
  readonly requested: number;
  readonly byWhom: readonly { readonly by: string; readonly n: number }[];
}

/** Counts of new boxes by who asked for them, those that the code wants apart. */
export function originsOf(house: House): Origins {
  const counts = new Map<string, number>();
  let code = 0;
  for (const { origin, requested, state } of Object.values(house.boxes)) {
    if (state === 'existing') continue;
    if (origin === 'code') code++;
    else counts.set(requested?.by ?? 'not said', (counts.get(requested?.by ?? 'not said') ?? 0) + 1);
  }
  const byWhom = [...counts].map(([by, n]) => ({ by, n })).toSorted((a, b) => b.n - a.n);
  return { code, requested: byWhom.reduce((sum, one) => sum + one.n, 0), byWhom };
}
