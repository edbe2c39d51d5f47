import { describe, expect, it } from 'vitest';
import { keptRoutes } from '../../circuits/kept-routes';
import { checkHouse } from '../../nec/check-house';
import { demo } from '../../test/demo-house';
import { must } from '../../test/must';
import { walled } from '../../test/route-cases';
import { routed } from '../../test/routed';
import { totalsOfRoutes } from '../../route/totals';
import { lineUpBoxes, takeLineUp } from './line-up';

let n = 0;
const newId = (prefix: string) => `${prefix}-z${++n}`;
const studHoles = (house: typeof demo) => totalsOfRoutes(house, keptRoutes(house).sound.values()).studHoles;
const findings = (house: typeof demo) => new Set(checkHouse(house).findings.map((one) => one.key));

describe('boxes that would share a bay', () => {
  it('in the demo house each saves what it says, breaks nothing, and stays one edit', () => {
    const house = routed(demo, 'quickest');
    const proposed = lineUpBoxes(house, 'quickest');
    expect(proposed.length).toBeGreaterThan(0);
    const bound = new Set(Object.values(house.loads).map((one) => one.box));
    for (const one of proposed) {
      expect(bound.has(one.box)).toBe(false);
      const { house: after } = must(takeLineUp(house, one, 'quickest', newId));
      expect(after.boxes[one.box]!.at).toEqual(one.to);
      expect(keptRoutes(after).broken.size).toBe(0);
      expect(studHoles(after)).toBeLessThan(studHoles(house));
      for (const key of findings(after)) expect(findings(house)).toContain(key);
    }
  });

  it('are none where boxes are too far apart, nailed already, or there', () => {
    expect(
      lineUpBoxes(
        walled([
          ['c0', 30],
          ['c0', 126],
        ]).build(),
        'quickest',
      ),
    ).toEqual([]);
    const nailed = walled([
      ['c0', 30],
      ['c0', 50],
    ]).with((house) => {
      for (const box of Object.values(house.boxes)) box.progress = 'nailed';
    });
    expect(lineUpBoxes(nailed.build(), 'quickest')).toEqual([]);
  });
});
