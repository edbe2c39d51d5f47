import { indexOutlets, type Outlet } from '../circuits/outlets';
import { BATHROOMS } from '../nec/requirements/circuit-facts';
import type { House } from '../house/schema';
import type { LoadKind } from '../house/schema-equipment';
import { LOAD_LIBRARY, useOf, type Use } from '../loads/library';
import { servesCounter } from '../place/receptacles';
import { viewRoom } from '../plan/room-view';

/** Something that runs at an outlet, and when. */
export interface DayItem {
  readonly id: string;
  readonly what: string;
  readonly kind: LoadKind;
  /** The device in whose box it is connected or plugged in. */
  readonly device: string;
  readonly va: number;
  readonly motor: boolean;
  /** It is wanted at its hour and at no other: a light. */
  readonly fixed?: true;
  /** Stretches of the day, minutes from midnight. */
  readonly runs: readonly (readonly [fromMin: number, toMin: number])[];
}

const at = (hours: number, minutes = 0): number => hours * 60 + minutes;
const each = (fromMin: number, toMin: number, every: number, lasts: number): [number, number][] =>
  Array.from({ length: Math.floor((toMin - fromMin) / every) }, (_, i) => [
    fromMin + i * every,
    fromMin + i * every + lasts,
  ]);

/** When a household of four on a winter weekday uses a thing. *Common practice*, from memory: a believable day, not a statistic. */
const TIMES: Readonly<Record<Use, readonly (readonly [number, number])[]>> = {
  always: [[0, 1440]],
  cycle: each(0, 1440, 45, 15),
  morning: [[at(6, 45), at(6, 57)]],
  cook: [
    [at(7, 0), at(7, 15)],
    [at(17, 45), at(18, 30)],
  ],
  bake: [[at(17, 30), at(18, 30)]],
  dishes: [[at(19, 30), at(20, 40)]],
  snack: [
    [at(12, 10), at(12, 15)],
    [at(18, 10), at(18, 16)],
  ],
  burst: [
    [at(7, 40), at(7, 41)],
    [at(18, 40), at(18, 42)],
  ],
  evening: [[at(19, 0), at(22, 30)]],
  wash: [[at(16, 0), at(16, 50)]],
  dry: [[at(17, 0), at(17, 55)]],
  chores: [[at(10, 0), at(10, 35)]],
  heat: [...each(at(5, 30), at(8, 30), 30, 20), ...each(at(16, 30), at(22, 30), 30, 15)],
  cool: [],
  tank: [
    [at(7, 0), at(7, 50)],
    [at(19, 45), at(20, 30)],
  ],
  night: [
    [at(23, 0), at(23, 59)],
    [0, at(4, 30)],
  ],
  shop: [
    [at(14, 0), at(14, 12)],
    [at(14, 20), at(14, 40)],
  ],
  firing: [[at(9, 0), at(15, 0)]],
  office: [[at(8, 30), at(16, 30)]],
};

const LIT: readonly (readonly [number, number])[] = [
  [at(6, 15), at(7, 45)],
  [at(17, 0), at(22, 30)],
];

const isGeneral = (outlet: Outlet): boolean =>
  outlet.device.kind === 'receptacle' && outlet.device.volts === 120 && !outlet.load;

/** What people plug in, by the room: kind, how much later than its usual time, minutes. */
function pluggedIn(house: House): DayItem[] {
  const general = indexOutlets(house).all.filter((outlet) => isGeneral(outlet) && !outlet.box.inCabinet);
  const items: DayItem[] = [];
  const plug = (kind: LoadKind, outlet: Outlet | undefined, later = 0, runs = TIMES[useOf(kind)]) => {
    if (!outlet) return;
    const { name, va, motor } = LOAD_LIBRARY[kind];
    items.push({
      id: `plug ${kind} ${outlet.device.id}`,
      what: `${name}, ${outlet.room.name}`,
      kind,
      device: outlet.device.id,
      va,
      motor,
      runs: runs.map(([from, to]) => [from + later, Math.min(1440, to + later)]),
    });
  };
  const counter = general.filter(
    (outlet) => outlet.room.kind === 'kitchen' && servesCounter(viewRoom(house, outlet.room.id), outlet.box),
  );
  const spread = (i: number) => counter[Math.min(counter.length - 1, Math.floor((i * counter.length) / 3))];
  plug('kettle', spread(0), 5, [[at(6, 50), at(6, 54)]]);
  plug('toaster', spread(0), 6, [[at(6, 50), at(6, 54)]]);
  plug('coffee-maker', spread(1), 0, [[at(6, 45), at(6, 57)]]);
  plug('counter-microwave', spread(2));
  const baths = [...new Set(general.filter((one) => BATHROOMS.has(one.room.kind)).map((one) => one.room.id))];
  baths.slice(0, 2).forEach((room, i) =>
    plug(
      'hair-dryer',
      general.find((one) => one.room.id === room),
      i * 4,
    ),
  );
  const inRoom = (...kinds: string[]) => general.find((outlet) => kinds.includes(outlet.room.kind));
  plug('television', inRoom('living', 'family', 'den'));
  plug('router', inRoom('office', 'living', 'den', 'family'));
  plug('computer', inRoom('office', 'studio', 'bedroom'));
  plug('vacuum', inRoom('hallway', 'living'));
  plug(
    'portable-heater',
    general.find((outlet) => outlet.room.kind === 'bedroom'),
    0,
    [[at(21, 0), at(23, 0)]],
  );
  plug('battery-charger', inRoom('garage'));
  return items;
}

/** A believable day: the loads of the house at their usual times, its lights, and what people plug in. */
export function typicalDay(house: House): DayItem[] {
  const index = indexOutlets(house);
  const loads = Object.values(house.loads).map((load): DayItem => ({
    id: `load ${load.id}`,
    what: load.name,
    kind: load.kind,
    device: load.device,
    va: load.va,
    motor: load.motor,
    runs: TIMES[useOf(load.kind)],
  }));
  const lights = index.all
    .filter(({ device, room }) => device.kind === 'luminaire' && !/attic|crawl|closet|storage/.test(room.kind))
    .map(({ device, box, room }): DayItem => ({
      id: `light ${device.id}`,
      what: `Light ${box.tag}, ${room.name}`,
      kind: 'other',
      device: device.id,
      va: device.kind === 'luminaire' ? device.va : 0,
      motor: false,
      fixed: true,
      runs: LIT,
    }));
  return [...loads, ...pluggedIn(house), ...lights];
}

/** Something of the library, running from a minute for some minutes. */
export const itemOf = (kind: LoadKind, outlet: Outlet, fromMin: number, minutes: number, id: string): DayItem => ({
  id,
  what: `${LOAD_LIBRARY[kind].name}, ${outlet.room.name}`,
  kind,
  device: outlet.device.id,
  va: LOAD_LIBRARY[kind].va,
  motor: LOAD_LIBRARY[kind].motor,
  runs: [[fromMin, Math.min(1440, fromMin + minutes)]],
});
