import { inTurn } from '../edits/circuit-verbs';
import type { NewId } from '../edits/verbs';
import { edit, type Edited } from '../house/edit';
import type { House, Room } from '../house/schema';
import { checkHouse, type Finding } from '../nec/check-house';
import { refuse, type Result } from '../units/result';
import { WANTS, type Want } from './wants';

/** The wants that a room has not got yet. */
export const wantsOf = (house: House, room: Room): readonly Want[] =>
  WANTS.filter((one) => one.rooms.includes(room.kind) && !one.isThere(house, room));

const violationsOf = (house: House): ReadonlyMap<string, Finding> =>
  new Map(
    checkHouse(house)
      .findings.filter((one) => one.kind === 'fail' && one.severity === 'violation')
      .map((one) => [one.key, one]),
  );

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

/** Sets a want down in a room, unless the code would object to it: then it says what is in the way. */
export function addWant(house: House, wantId: string, roomId: string, placing: Placing, newId: NewId): Result<Edited> {
  const want = WANTS.find((one) => one.id === wantId);
  const room = house.rooms[roomId];
  if (!want || !room) return refuse('missing', `rooms.${roomId}`, 'This room is no longer there.');
  const done = signedFor(house, want.add(house, room, newId), placing);
  if (!done.ok) return done;
  const before = violationsOf(house);
  const worse = [...violationsOf(done.value.house).values()].find((one) => !before.has(one.key));
  return worse
    ? refuse(
        'objection',
        `rooms.${roomId}`,
        `Nothing was placed: ${worse.message} (${worse.section}) Place it by hand.`,
      )
    : done;
}
