import { measureDrop } from '../../circuits/circuit-drop';
import { feederTo, servicePanel } from '../../circuits/panel-tree';
import { outletsOn } from '../../circuits/outlets';
import type { NewId } from '../../house/new-box';
import { edit, type Edited } from '../../house/edit';
import type { House, Panel } from '../../house/schema';
import { runAlong } from '../../makeup/wired-run';
import { wireHouse } from '../../makeup/make-up';
import { checkHouse, ruleNamed } from '../../nec/check-house';
import { refuse, type Result } from '../../units/result';
import { planCircuits } from './plan-circuits';

/** What the panel of the service would do in one of the places that are drawn for it. */
export interface PanelPlace {
  /** The panel that is drawn there. */
  readonly panel: string;
  readonly name: string;
  readonly room: string;
  readonly isNow: boolean;
  /** Of the plan that is made for it: cable along the feed orders, and material at typical prices. */
  readonly cableFt: number;
  readonly cost: number;
  readonly circuits: number;
  /** The most that any circuit loses, a share of its voltage, and which. */
  readonly worstDrop: number;
  readonly worstCircuit: string;
  /** What the code says of the place: where a panel may not hang, and the space before it. */
  readonly objections: readonly string[];
}

const placeRules = [ruleNamed('panel-place'), ruleNamed('panel-working-space')];

/** Places for the panel of the service: its own, and those of panels that nothing feeds. */
function candidates(house: House): Panel[] {
  const first = servicePanel(house);
  if (!first) return [];
  return [first, ...Object.values(house.panels).filter((one) => one !== first && !feederTo(house, one.id))];
}

/**
 * Hangs the panel of the service where another is drawn that nothing feeds. That one goes; what was on it waits for a space. The edit of
 * taking a place, and the house in thought when places are compared.
 */
export function hangPanelAt(house: House, panelId: string): Result<Edited> {
  const [first, place] = [servicePanel(house), house.panels[panelId]];
  if (!first || !place) return refuse('missing', `panels.${panelId}`, 'This panel is no longer there.');
  return edit(house, `Hang ${first.name} in ${house.rooms[place.room]!.name}`, (draft) => {
    const panel = draft.panels[first.id]!;
    [panel.room, panel.feature] = [place.room, place.feature];
    for (const other of candidates(house)) {
      if (other.id === first.id) continue;
      for (const circuit of Object.values(draft.circuits))
        if (circuit.panel === other.id) [circuit.panel, circuit.space] = [null, null];
      delete draft.panels[other.id];
    }
  });
}

function placeOf(house: House, place: Panel, isNow: boolean, newId: NewId): Result<PanelPlace> {
  const hung = hangPanelAt(house, place.id);
  if (!hung.ok) return hung;
  const planned = planCircuits(hung.value.house, newId);
  if (!planned.ok) return planned;
  const { house: then, after } = planned.value;
  let [worstDrop, worstCircuit] = [0, ''];
  for (const wiring of wireHouse(then).units) {
    const run = runAlong(wiring);
    if (!run) continue;
    for (const circuit of wiring.unit.circuits) {
      if (outletsOn(then, circuit).length === 0) continue;
      const { share } = measureDrop(then, circuit, run);
      if (share > worstDrop) [worstDrop, worstCircuit] = [share, circuit.name];
    }
  }
  const { findings } = checkHouse(then, { rules: placeRules });
  return {
    ok: true,
    value: {
      panel: place.id,
      name: place.name,
      room: house.rooms[place.room]!.name,
      isNow,
      cableFt: after.cableFt,
      cost: after.cost,
      circuits: after.circuits,
      worstDrop,
      worstCircuit,
      objections: findings.filter((one) => one.kind !== 'pass').map((one) => `${one.message} ${one.section}`),
    },
  };
}

/** Each place with a full plan of its own, in the order in which they are drawn. Holes, labor and what a longer service costs are not in it. */
export function comparePanelPlaces(
  house: House,
  newId: NewId,
  onProgress: (share: number, what: string) => void = () => undefined,
): Result<readonly PanelPlace[]> {
  const places = candidates(house);
  const made: PanelPlace[] = [];
  for (const [i, place] of places.entries()) {
    onProgress(i / places.length, house.rooms[place.room]!.name);
    const one = placeOf(house, place, i === 0, newId);
    if (!one.ok) return one;
    made.push(one.value);
  }
  return { ok: true, value: made };
}
