import type { House, RoomKind } from './schema';
import { itemAt } from '../units/result';

const namesOf = (house: House): ReadonlySet<string> => new Set(Object.values(house.rooms).map((room) => room.name));

function nextNumbered(taken: ReadonlySet<string>, stem: string): string {
  for (let n = 2; ; n++) if (!taken.has(`${stem} ${n}`)) return `${stem} ${n}`;
}

/** "Bedroom 2" for the second bedroom; other kinds are numbered from the second on. */
export function nameRoom(house: House, kind: RoomKind): string {
  const word = kind === 'other' ? 'Room' : itemAt(kind, 0).toUpperCase() + kind.slice(1).replaceAll('-', ' ');
  const taken = namesOf(house);
  const first = kind === 'bedroom' ? `${word} 1` : word;
  return taken.has(first) ? nextNumbered(taken, word) : first;
}

/** The name of a copy: its own with the next number that is free. */
export const nameCopy = (house: House, name: string): string => nextNumbered(namesOf(house), name.replace(/ \d+$/, ''));
