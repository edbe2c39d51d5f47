import { yokesIn } from '../house/yokes';
import type { NewId } from '../house/new-box';
import type { Edited } from '../house/edit';
import { newDevice } from '../house/schema-equipment';
import type { House, Room, RoomKind } from '../house/schema';
import { mustGet, type Result } from '../units/result';
import {
  boxesOf,
  closetLight,
  fanReady,
  hasDevice,
  hasLoad,
  hasNote,
  nearOf,
  onWall,
  receptacle,
  sleeve,
  spareGang,
  withLoad,
} from './place-wants';

/** Something that owners miss once the drywall is up, *common practice*, and that one tap sets down. */
export interface Want {
  readonly id: string;
  readonly rooms: readonly RoomKind[];
  readonly says: string;
  readonly why: string;
  readonly isThere: (house: House, room: Room) => boolean;
  readonly add: (house: House, room: Room, newId: NewId) => Result<Edited>;
}

const BASEMENTS: readonly RoomKind[] = ['basement-unfinished', 'basement-finished'];

/** What is mostly forgotten, room by room. */
export const WANTS: readonly Want[] = [
  {
    id: 'bidet',
    rooms: ['bathroom', 'half-bath'],
    says: 'Receptacle for a bidet seat',
    why: 'Low beside the toilet, 12 in high: no cord across the floor, and none through the tile later.',
    isThere: (house, room) => {
      const toilet = nearOf(house, room, 'toilet');
      if (!toilet) return true;
      return hasLoad('bidet-seat')(house, room) || hasNote('bidet')(house, room);
    },
    add: (house, room, newId) =>
      onWall(
        house,
        room,
        {
          heightIn: 12,
          near: nearOf(house, room, 'toilet'),
          devices: [receptacle(newId)],
          box: { note: 'bidet seat' },
        },
        newId,
      ),
  },
  {
    id: 'vacuum',
    rooms: ['closet', 'walk-in-closet', 'laundry', 'utility', 'pantry'],
    says: 'Receptacle for a vacuum dock',
    why: 'A robot or stick vacuum charges where it is out of the way.',
    isThere: hasNote('vacuum dock'),
    add: (house, room, newId) =>
      onWall(house, room, { heightIn: 16, devices: [receptacle(newId)], box: { note: 'vacuum dock' } }, newId),
  },
  {
    id: 'cabinet-outlet',
    rooms: ['kitchen', 'pantry'],
    says: 'Receptacle inside a cabinet',
    why: 'A mixer, a coffee maker or chargers behind a door. It never counts for the counter.',
    isThere: (house, room) => boxesOf(house, room).some((box) => box.inCabinet && box.note?.includes('appliances')),
    add: (house, room, newId) =>
      onWall(
        house,
        room,
        {
          heightIn: 60,
          near: nearOf(house, room, 'tall-cabinet', 'cabinet', 'counter'),
          devices: [receptacle(newId)],
          box: { inCabinet: true, note: 'small appliances in the cabinet' },
        },
        newId,
      ),
  },
  {
    id: 'strip-lights',
    rooms: ['kitchen'],
    says: 'Cable for lights under the wall cabinets',
    why: 'Its driver lives in a cabinet; the cable comes out at the bottom rail.',
    isThere: hasDevice((one) => one.kind === 'luminaire' && one.style === 'strip'),
    add: (house, room, newId) =>
      onWall(
        house,
        room,
        {
          heightIn: 54,
          near: nearOf(house, room, 'counter'),
          devices: [newDevice('luminaire', newId('device'), { style: 'strip', driver: 'cabinet', lengthIn: 72 })],
          box: { inCabinet: true, note: 'strip lights under the wall cabinets' },
        },
        newId,
      ),
  },
  {
    id: 'closet-light',
    rooms: ['closet', 'walk-in-closet', 'linen', 'pantry'],
    says: 'Light that the door switches',
    why: 'Both hands are full when one opens it.',
    isThere: hasDevice((one) => one.kind === 'luminaire'),
    add: closetLight,
  },
  {
    id: 'freezer',
    rooms: ['garage', ...BASEMENTS, 'laundry', 'utility', 'pantry'],
    says: 'Receptacle for a freezer',
    why: 'On a circuit that nobody trips: a thawed freezer is found too late.',
    isThere: hasLoad('freezer'),
    add: (house, room, newId) => withLoad(house, room, 'freezer', { heightIn: 48 }, newId),
  },
  {
    id: 'aquarium',
    rooms: ['living', 'family', 'den', 'office', 'recreation'],
    says: 'Receptacle for an aquarium',
    why: 'Pump, heater and light run all day; the box stands above the water line of the tank’s stand.',
    isThere: hasLoad('aquarium'),
    add: (house, room, newId) => withLoad(house, room, 'aquarium', { heightIn: 48 }, newId),
  },
  {
    id: 'towel-warmer',
    rooms: ['bathroom'],
    says: 'Connection for a heated towel bar',
    why: 'Tile covers every second chance.',
    isThere: hasLoad('towel-warmer'),
    add: (house, room, newId) =>
      withLoad(house, room, 'towel-warmer', { heightIn: 40, near: nearOf(house, room, 'tub', 'shower') }, newId),
  },
  {
    id: 'spare-gang',
    rooms: ['foyer', 'kitchen', 'living', 'family', 'hallway'],
    says: 'Spare gang beside the switches',
    why: 'Eave lights, a gate, a fan: the box is there, its volume kept.',
    isThere: (house, room) => boxesOf(house, room).some((box) => box.gangs > yokesIn(box) && box.at.kind === 'wall'),
    add: spareGang,
  },
  {
    id: 'fan-ready',
    rooms: ['bedroom', 'living', 'family', 'office'],
    says: 'Ceiling box that carries a fan later',
    why: 'A listed fan box and a third conductor cost little now (314.27(C)).',
    isThere: (house, room) =>
      boxesOf(house, room).some((box) => box.type === 'fan-brace') ||
      hasDevice((one) => one.kind === 'fan')(house, room),
    add: fanReady,
  },
  {
    id: 'eaves',
    rooms: ['porch', 'outdoors', 'deck'],
    says: 'Receptacle at the eave for holiday lights',
    why: 'Switched indoors or by a timer; no cords out of a window.',
    isThere: (house, room) => hasLoad('holiday-lights')(house, room) || hasNote('holiday lights')(house, room),
    add: (house, room, newId) =>
      onWall(
        house,
        room,
        {
          heightIn: Math.min(96, mustGet(house.levels, room.level).ceilingIn - 6),
          devices: [receptacle(newId)],
          box: { note: 'holiday lights at the eave' },
        },
        newId,
      ),
  },
  {
    id: 'sleeve-attic',
    rooms: ['living', 'family', 'utility', 'laundry', 'garage'],
    says: 'Sleeve to the attic',
    why: 'For antenna, solar or whatever comes: one pipe with a string.',
    isThere: hasNote('sleeve to the attic'),
    add: sleeve('to the attic', 74),
  },
  {
    id: 'sleeve-garden',
    rooms: ['garage', 'utility', ...BASEMENTS],
    says: 'Sleeve to the garden',
    why: 'Under the walk before it is poured: pump, lights, a gate.',
    isThere: hasNote('sleeve to the garden'),
    add: sleeve('to the garden', 18),
  },
  {
    id: 'vehicle-later',
    rooms: ['garage'],
    says: 'Cable or sleeve for a charger later',
    why: 'A capped 6/3 or a 1 in pipe from the panel; the load is reckoned when the charger comes.',
    isThere: (house, room) =>
      hasLoad('ev-charger')(house, room) ||
      hasLoad('ev-charger-48')(house, room) ||
      hasNote('vehicle charger')(house, room),
    add: (house, room, newId) =>
      onWall(
        house,
        room,
        {
          heightIn: 48,
          near: nearOf(house, room, 'panel'),
          devices: [newDevice('blank', newId('device'))],
          box: { state: 'future', note: 'vehicle charger later: cable capped or sleeve from the panel' },
        },
        newId,
      ),
  },
  {
    id: 'data',
    rooms: ['office', 'bedroom', 'living', 'family'],
    says: 'Network drop',
    why: 'Wireless shares one channel; a wire does not.',
    isThere: hasDevice((one) => one.kind === 'low-voltage' && one.system === 'data'),
    add: (house, room, newId) =>
      onWall(
        house,
        room,
        {
          heightIn: house.standards.receptacleHeightIn,
          near: nearOf(house, room, 'desk', 'tv', 'bed'),
          devices: [newDevice('low-voltage', newId('device'), { system: 'data' })],
        },
        newId,
      ),
  },
];
