import { readFileSync } from 'node:fs';
import { createHouse, rectangleCorners, readHouseFile, type House } from '@winculum/core';

const read = readHouseFile(readFileSync(new URL('../../../demo/studio-house.json', import.meta.url), 'utf8'));
if (!read.ok) throw new Error(read.problems[0]!.message);
export const demo: House = read.value;

/** A house with one bedroom of 12 ft by 10 ft, door in the south wall. */
export function oneBedroom(): House {
  const house = createHouse('One bedroom');
  house.rooms['bed'] = {
    id: 'bed',
    level: 'L1',
    name: 'Bedroom',
    prefix: 'B',
    kind: 'bedroom',
    corners: rectangleCorners(0, 0, 144, 120),
  };
  house.openings['door'] = {
    id: 'door',
    room: 'bed',
    wall: 'c2',
    kind: 'door',
    alongIn: 12,
    widthIn: 32,
    headIn: 80,
    hinge: 'left',
    swing: 'in',
    leaves: 1,
  };
  return house;
}

/** Ids in order, for tests. */
export function counting(): (prefix: string) => string {
  let n = 0;
  return (prefix) => `${prefix}-${++n}`;
}
