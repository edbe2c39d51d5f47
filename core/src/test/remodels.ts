import type { House, JobKind, RoomKind } from '../house/schema';
import { OUTDOOR_KINDS } from '../place/outdoors';
import { removeEntities } from '../edits/remove';
import { edit } from '../house/edit';
import { byTheTool } from './by-the-tool';
import { must } from './must';

/** Whether the framing of a room is behind a finish. */
const isFinished = (kind: RoomKind): boolean => !/attic|crawl|unfinished/.test(kind);

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
  return must(
    edit(stripped, 'remodel', (draft) => {
      for (const panel of Object.values(draft.panels)) panel.existing = true;
      // What is stripped is open; the rest of the house keeps its walls.
      for (const room of Object.values(draft.rooms))
        if (!isStripped(room.id) && !OUTDOOR_KINDS.has(room.kind) && isFinished(room.kind)) room.closed = true;
      const fed = new Set<string | null>();
      for (const box of Object.values(draft.boxes)) {
        box.state = 'existing';
        for (const device of Object.values(box.devices)) if ('circuit' in device) fed.add(device.circuit);
      }
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
