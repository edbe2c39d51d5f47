import { noEntities } from '../edits/create-house';
import type { Box, House } from '../house/schema';

/** The records of a map, each as somebody may see it; those that answer undefined are left out. */
const seenAs = <T>(all: Readonly<Record<string, T>>, as: (one: T) => T | undefined): Record<string, T> =>
  Object.fromEntries(
    Object.entries(all).flatMap(([id, one]) => {
      const seen = as(one);
      return seen === undefined ? [] : [[id, seen]];
    }),
  );

/** What of a house says nothing of anybody. What the document comes to hold besides is not in it until somebody adds it here. */
const shellOf = ({ format, version, name, job, standards, supply, levels, rooms }: House): House => ({
  ...noEntities(),
  format,
  version,
  name,
  job: { edition: job.edition, authority: '', permitDate: null },
  standards,
  supply,
  levels,
  rooms,
});

const withoutCircuits = ({ requested: _who, ...box }: Box): Box => ({
  ...box,
  devices: seenAs(box.devices, (device) => ({ ...device, circuit: null })),
});
const withoutWords = ({ requested: _who, note: _note, ...box }: Box): Box => box;

/**
 * The house as somebody without an account may see it. Owner, designer and inspector see all of it; another trade where it is, the
 * rooms, what stands in them, the boxes without their circuits, and its own work; the panel's door what hangs on its breakers, and
 * nobody's names, notes or address.
 */
export function guestHouse(
  house: House,
  role: 'owner' | 'designer' | 'inspector' | 'trade' | 'panel',
  trade: string | null,
): House {
  const { openings, features, boxes, job } = house;
  switch (role) {
    case 'owner':
    case 'designer':
    case 'inspector':
      // What the firm's people say to each other is theirs.
      return { ...house, comments: {} };
    case 'trade': {
      const shell = shellOf(house);
      return {
        ...shell,
        job: { ...shell.job, ...(job.address === undefined ? {} : { address: job.address }) },
        openings,
        features,
        boxes: seenAs(boxes, withoutCircuits),
        tasks: seenAs(house.tasks, (one) => (one.trade === trade ? one : undefined)),
        photos: house.photos,
      };
    }
    case 'panel': {
      const { loads, circuits, switchGroups, cables, panels, feeders, buildings, units } = house;
      return {
        ...shellOf(house),
        openings,
        features,
        boxes: seenAs(boxes, withoutWords),
        loads,
        circuits,
        switchGroups,
        cables,
        panels,
        feeders,
        buildings,
        units,
      };
    }
  }
}
