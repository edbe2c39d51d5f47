import { count } from '../units/count';
import { edit } from '../house/edit';
import type { House, RoomKind } from '../house/schema';
import { indexOutlets } from '../circuits/outlets';
import { checkHouse } from './check-house';
import { decideAfci } from './protection/afci';
import { decideGfci } from './protection/gfci';
import { itemAt, mustGet } from '../units/result';

interface KindEffect {
  /** What the other name would ask for, or leave open, in sentences. */
  readonly adds: readonly string[];
  readonly drops: readonly string[];
}

const needing = (house: House, roomId: string, decide: typeof decideGfci): number =>
  indexOutlets(house).all.filter(
    (outlet) => outlet.room.id === roomId && decide(house, outlet, house.job.edition).kind === 'required',
  ).length;

const isOpen = (house: House) =>
  checkHouse(house).findings.filter((one) => one.severity !== 'reminder' && one.stage !== 'panel');

/** What giving a room another name would change: findings that come and go, outlets that need protection. */
export function effectOfKind(house: House, roomId: string, kind: RoomKind): KindEffect {
  const renamed = edit(house, 'Name', (draft) => {
    mustGet(draft.rooms, roomId).kind = kind;
    if (kind === 'garage') mustGet(draft.rooms, roomId).bays ??= 1;
  });
  if (!renamed.ok) return { adds: [itemAt(renamed.problems, 0).message], drops: [] };
  const [before, after] = [isOpen(house), isOpen(renamed.value.house)];
  const [had, has] = [new Set(before.map((one) => one.key)), new Set(after.map((one) => one.key))];
  const adds = after.filter((one) => !had.has(one.key)).map((one) => `${one.message} (${one.section})`);
  const drops = before.filter((one) => !has.has(one.key)).map((one) => one.message);
  for (const [name, decide] of [
    ['GFCI', decideGfci],
    ['AFCI', decideAfci],
  ] as const) {
    const more = needing(renamed.value.house, roomId, decide) - needing(house, roomId, decide);
    if (more > 0) adds.push(`${count(more, 'outlet')} more would need ${name}.`);
    if (more < 0) drops.push(`${-more} outlet${more === -1 ? '' : 's'} fewer would need ${name}.`);
  }
  return { adds, drops };
}
