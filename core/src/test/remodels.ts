import { indexOutlets } from '../circuits/outlets';
import type { House, JobKind } from '../house/schema';
import { openOnly } from '../edits/existing-house';
import { removeEntities } from '../edits/remove';
import { edit } from '../house/edit';
import { byTheTool } from './by-the-tool';
import { must } from './must';

/**
 * A house that people have lived in, with one part of it stripped to the studs: what is elsewhere is existing, what fed the stripped part
 * alone is gone, and the work is done under the edition of today.
 */
function remodel(lived: House, kind: JobKind, isStripped: (room: string) => boolean): House {
  const gone = Object.values(lived.boxes).filter(({ room }) => isStripped(room));
  const stripped = must(
    removeEntities(
      lived,
      gone.map(({ id }) => ({ collection: 'boxes', id })),
    ),
  ).house;
  const rooms = new Set(Object.keys(stripped.rooms).filter(isStripped));
  const { house } = must(openOnly(stripped, rooms));
  const fed = new Set(indexOutlets(house).all.map((one) => one.device.circuit));
  return must(
    edit(house, 'remodel', (draft) => {
      for (const id of Object.keys(draft.circuits)) if (!fed.has(id)) delete draft.circuits[id];
      draft.job = { ...draft.job, edition: '2023', kind };
    }),
  ).house;
}

/** A house of one level whose kitchen is stripped: boxes there are set anew, the rest stays. */
export const kitchenRemodel = (drawn: House): House =>
  remodel(byTheTool(drawn), 'kitchen', (room) => drawn.rooms[room]!.kind === 'kitchen');

/** A house whose basement was never wired but for what the main level needs, and is finished now. */
export const basementFinish = (drawn: House): House =>
  remodel(byTheTool(drawn), 'basement-finish', (room) => drawn.levels[drawn.rooms[room]!.level]!.elevationIn < 0);
