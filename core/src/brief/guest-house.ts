import type { House } from '../house/schema';

const NOTHING_ELSE = {
  openings: {},
  features: {},
  boxes: {},
  loads: {},
  circuits: {},
  switchGroups: {},
  cables: {},
  routes: {},
  panels: {},
  feeders: {},
  sources: {},
  buildings: {},
  units: {},
  decisions: {},
  results: {},
  uses: {},
  tasks: {},
  photos: {},
  inspections: {},
  log: {},
} as const;

/** A map of records with some fields left out of each. */
const picked = <T extends object>(all: Readonly<Record<string, T>>, keep: (one: T) => boolean, as: (one: T) => T) =>
  Object.fromEntries(Object.entries(all).flatMap(([id, one]) => (keep(one) ? [[id, as(one)]] : [])));

/**
 * The house as somebody without an account may see it. Owner, designer and inspector see all of it; another trade the rooms, what
 * stands in them, the boxes without their circuits, and its own work; the panel's door what hangs on its breakers, and nobody's names.
 */
export function guestHouse(
  house: House,
  role: 'owner' | 'designer' | 'inspector' | 'trade' | 'panel',
  trade: string | null,
): House {
  if (role === 'owner' || role === 'designer' || role === 'inspector') return house;
  if (role === 'trade')
    return {
      ...house,
      ...NOTHING_ELSE,
      supply: house.supply,
      openings: house.openings,
      features: house.features,
      boxes: picked(
        house.boxes,
        () => true,
        ({ requested: _who, ...box }) => ({
          ...box,
          devices: picked(
            box.devices,
            () => true,
            (device) => ({ ...device, circuit: null }),
          ),
        }),
      ),
      tasks: picked(
        house.tasks,
        (one) => one.trade === trade,
        (one) => one,
      ),
      photos: house.photos,
    };
  return {
    ...house,
    ...NOTHING_ELSE,
    openings: house.openings,
    features: house.features,
    boxes: picked(
      house.boxes,
      () => true,
      ({ requested: _who, ...box }) => box,
    ),
    loads: house.loads,
    circuits: house.circuits,
    switchGroups: house.switchGroups,
    cables: house.cables,
    panels: house.panels,
    feeders: house.feeders,
    buildings: house.buildings,
    units: house.units,
  };
}
