import { boundsOf, boxPoint, fromLoop, pointOnWall, wallLoop, type Finding, type Point } from '@winculum/core';
import { useHouse } from '../stores/house';
import { useView, type Selected } from '../stores/view';

/** Takes the eye to a place: its level, its room in the strip, the camera, the selection. */
export function useFly() {
  const store = useHouse();
  const view = useView();
  return (where: Finding['where'], keepFinding: Finding | null = null): void => {
    const house = store.current;
    const box = where.box ? house.boxes[where.box] : undefined;
    const room = house.rooms[where.room ?? box?.room ?? house.panels[where.panel ?? '']?.room ?? ''];
    const selected: Selected[] = [];
    if (box) selected.push({ kind: 'box', id: box.id });
    else if (where.circuit) selected.push({ kind: 'circuit', id: where.circuit });
    else if (where.feature) selected.push({ kind: 'feature', id: where.feature });
    else if (where.panel) selected.push({ kind: 'panel', id: where.panel });
    else if (room) selected.push({ kind: 'room', id: room.id });
    view.select(selected);
    view.finding = keepFinding;
    if (!room) return;
    view.shows = 'sheet';
    view.level = room.level;
    view.stripRoom = room.id;
    const points: Point[] = [...room.corners];
    if (where.stretch) {
      view.cursorIn = (where.stretch.fromIn + where.stretch.toIn) / 2;
      const { wall, alongIn } = fromLoop(wallLoop(room), view.cursorIn);
      points.push(pointOnWall(wall, alongIn));
    }
    if (box) points.push(boxPoint(house, box));
    view.target = { bounds: boundsOf(points) };
  };
}
