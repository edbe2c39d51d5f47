import { inTurn } from '../edits/circuit-verbs';
import type { NewId } from '../house/new-box';
import { edit, type Edited } from '../house/edit';
import type { House, Room } from '../house/schema';
import { checkHouse, type Finding } from '../nec/check-house';
import { refuse, type Result } from '../units/result';
import { WANTS, type Want } from './wants';

/** The wants that a room has not got yet. */
export const wantsOf = (house: House, room: Room): readonly Want[] =>
  WANTS.filter((one) => one.rooms.includes(room.kind) && !one.isThere(house, room));

const violationsOf = (house: House): readonly Finding[] =>
  checkHouse(house).findings.filter((one) => one.kind === 'fail' && one.severity === 'violation');
/** A rule and the room where it is broken: one more receptacle cuts a stretch without any in two, and breaks nothing more by it. */
const placeOf = (house: House, { ruleId, where }: Finding): string =>
  `${ruleId} ${where.room ?? house.boxes[where.box ?? '']?.room ?? ''}`;

interface Placing {
  readonly by: string;
  /** ISO date. */
  readonly date: string;
}

/** Who asked for each box that an edit has brought. */
export function signedFor(before: House, done: Result<Edited>, { by, date }: Placing): Result<Edited> {
  if (!done.ok) return done;
  return inTurn(done.value.edit.label, before, [
    () => done,
    (now) =>
      edit(now, 'Say who asked', (draft) => {
        for (const box of Object.values(draft.boxes))
          if (!before.boxes[box.id] && box.origin === 'request' && !box.requested) box.requested = { by, on: date };
      }),
  ]);
}

/** An edit as it was made, unless the code objects to what it brings: then nothing is done, and what is in the way is said. */
export function unlessObjected(house: House, room: string, done: Result<Edited>): Result<Edited> {
  if (!done.ok) return done;
  const after = done.value.house;
  const before = new Set(violationsOf(house).map((one) => placeOf(house, one)));
  const isNew = (box: string | undefined) => box !== undefined && !house.boxes[box];
  const worse = violationsOf(after).find((one) => isNew(one.where.box) || !before.has(placeOf(after, one)));
  if (!worse) return done;
  const words = `Nothing was placed: ${worse.message} (${worse.section}) Place it by hand.`;
  return refuse('objection', `rooms.${room}`, words);
}

/** Sets a want down in a room, where the code has nothing against it. */
export function addWant(house: House, wantId: string, roomId: string, placing: Placing, newId: NewId): Result<Edited> {
  const want = WANTS.find((one) => one.id === wantId);
  const room = house.rooms[roomId];
  if (!want || !room) return refuse('missing', `rooms.${roomId}`, 'This room is no longer there.');
  return unlessObjected(house, roomId, signedFor(house, want.add(house, room, newId), placing));
}
