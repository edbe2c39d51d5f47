import { cableBetween, spotOfBox, spotOfPanel } from '../../circuits/cable-run';
import { panelOf } from '../../circuits/panel-tree';
import { outletsOn } from '../../circuits/outlets';
import { suggestCircuit } from '../../circuits/suggest';
import { edit, type Edited } from '../../house/edit';
import type { House } from '../../house/schema';
import type { NewId } from '../../house/new-box';
import { refuse, type Result } from '../../units/result';
import { divide } from './cluster';

/** Slack over an even half, so that a room need not be cut for one receptacle. */
const SLACK = 1.25;

/** One circuit into two of about equal load, each with short cable and whole rooms as far as may be. */
export function splitCircuit(house: House, id: string, newId: NewId): Result<Edited> {
  const circuit = house.circuits[id];
  if (!circuit) return refuse('missing', 'circuits', 'This circuit is no longer there.');
  const outlets = outletsOn(house, circuit);
  const boxes = [...new Set(outlets.map((one) => one.box))];
  if (boxes.length < 2)
    return refuse('single', `circuits.${id}`, `${circuit.name} feeds one box alone: there is nothing to split.`);
  const panel = panelOf(house, circuit);
  const spots = boxes.map((box) => spotOfBox(house, box));
  const from = panel && spotOfPanel(house, panel);
  const rooms = [...new Set(boxes.map((box) => box.room))];
  const weight = boxes.map((box) =>
    Math.max(1, outlets.filter((one) => one.box === box && one.device.kind !== 'switch').length),
  );
  const half = (weight.reduce((sum, one) => sum + one, 0) / 2) * SLACK;
  const { clusters } = divide({
    root: spots.map((spot) => (from ? cableBetween(from, spot) : 0)),
    between: (i, j) => cableBetween(spots[i]!, spots[j]!),
    demand: weight.map((one) => one / half),
    group: boxes.map((box) => rooms.indexOf(box.room)),
    groupFee: 120,
    // Dear enough that there are two, and not more than must be.
    clusterFee: 100_000,
    least: 2,
  });
  const [, ...others] = [...clusters].sort((a, b) => b.length - a.length);
  const moved = new Set(others.flat().map((i) => boxes[i]!));
  const leaving = outlets.filter((one) => moved.has(one.box));
  const added = newId('circuit');
  const made = {
    ...suggestCircuit(house, leaving),
    name: `${circuit.name.slice(0, 76)} 2`,
    purpose: circuit.purpose,
    poles: circuit.poles,
    ratingA: circuit.ratingA,
    awg: circuit.awg,
    id: added,
    panel: null,
    space: null,
  };
  return edit(house, `Split ${circuit.name}`, (draft) => {
    draft.circuits[added] = made;
    for (const { box, device } of leaving) {
      draft.boxes[box.id]!.devices[device.id]!.circuit = added;
      if (circuit.gfciFirst === device.id) draft.circuits[id]!.gfciFirst = null;
    }
  });
}
