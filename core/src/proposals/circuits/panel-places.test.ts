import { describe, expect, it } from 'vitest';
import { addFeature } from '../../edits/place-feature';
import type { House } from '../../house/schema';
import { featureSchema } from '../../house/schema-fixed';
import { byTheTool } from '../../test/by-the-tool';
import { must } from '../../test/must';
import { ranchHouse } from '../../test/ranch-house';
import { comparePanelPlaces, hangPanelAt } from './panel-places';
import { planCircuits } from './plan-circuits';

let n = 0;
const newId = (prefix: string) => `${prefix}-p${++n}`;
/** The ranch with a second place for its panel, in a bathroom: where none may hang. */
function withPlace(house: House, kind: string): { house: House; other: string } {
  const room = Object.values(house.rooms).find((one) => one.kind === kind)!;
  const feature = featureSchema.parse({
    id: 'place',
    room: room.id,
    kind: 'panel',
    at: { kind: 'wall', wall: room.corners[0]!.id, alongIn: 20, widthIn: 14.5, depthIn: 4 },
    heightIn: 72,
  });
  const made = must(addFeature(house, feature, newId)).house;
  return { house: made, other: Object.keys(made.panels).find((id) => !house.panels[id])! };
}

describe('two places for the panel', () => {
  const ranch = byTheTool(ranchHouse('2023'));
  const { house, other } = withPlace(ranch, 'bathroom');

  it('each have a plan of their own: the same circuits, other feet of cable; what may not be is said', () => {
    const places = must(comparePanelPlaces(house, newId));
    expect(places.map(({ isNow }) => isNow)).toEqual([true, false]);
    const [now, then] = places;
    expect(then!.circuits).toBeGreaterThan(5);
    expect(then!.cableFt).not.toBe(now!.cableFt);
    expect(then!.objections.join(' ')).toMatch(/240\.24/);
    expect(now!.objections.join(' ')).not.toMatch(/240\.24\(E\)/);
    expect(then!.worstDrop).toBeGreaterThan(0);
    // What is shown for the place of today is what the planner plans there.
    const own = must(planCircuits(must(hangPanelAt(house, now!.panel)).house, newId));
    expect(now!.cableFt).toBeCloseTo(own.after.cableFt, 6);
  });

  it('are changed for each other by one edit, and what was on the panel stays on it', () => {
    const { house: hung } = must(hangPanelAt(house, other));
    expect(Object.keys(hung.panels)).toHaveLength(1);
    const [panel] = Object.values(hung.panels);
    expect(panel).toMatchObject({ feature: 'place', name: Object.values(ranch.panels)[0]!.name });
    expect(Object.values(hung.circuits).filter((one) => one.space !== null)).toHaveLength(
      Object.values(ranch.circuits).filter((one) => one.space !== null).length,
    );
  });

  it('one place alone is compared with nothing', () => expect(must(comparePanelPlaces(ranch, newId))).toHaveLength(1));
});
