import { mustGet, type Result, succeed } from '../units/result';
import { edit, joinEdits, type Edited } from '../house/edit';
import type { House } from '../house/schema';
import { removeEntities } from './remove';
import { assignToCircuit } from './verbs';

/** Carries out one verb after another on what the first has made, as one edit; the first refusal ends it. */
export function inTurn(
  label: string,
  house: House,
  verbs: readonly ((house: House) => Result<Edited>)[],
): Result<Edited> {
  const edits = [];
  let now = house;
  for (const verb of verbs) {
    const done = verb(now);
    if (!done.ok) return done;
    edits.push(done.value.edit);
    now = done.value.house;
  }
  return succeed({ house: now, edit: joinEdits(label, edits) });
}

/** All outlets of a circuit onto another, and the first away. */
export function mergeCircuits(house: House, from: string, into: string): Result<Edited> {
  const devices = Object.values(house.boxes).flatMap((box) =>
    Object.values(box.devices).flatMap((device) => (device.circuit === from ? [device.id] : [])),
  );
  return inTurn(`Merge ${house.circuits[from]?.name ?? 'circuit'}`, house, [
    (now) => assignToCircuit(now, devices, into),
    (now) => removeEntities(now, [{ collection: 'circuits', id: from }]),
  ]);
}

/** Two circuits name each other as halves of one neutral (NEC 210.4); who shared with either before is alone again. */
export const shareNeutral = (house: House, id: string, withId: string | null): Result<Edited> =>
  edit(house, withId === null ? 'Neutral of its own' : 'Share a neutral', (draft) => {
    for (const one of Object.values(draft.circuits))
      if ([id, withId].some((end) => end !== null && (one.id === end || one.sharesNeutralWith === end)))
        delete one.sharesNeutralWith;
    if (withId === null) return;
    mustGet(draft.circuits, id).sharesNeutralWith = withId;
    mustGet(draft.circuits, withId).sharesNeutralWith = id;
  });
