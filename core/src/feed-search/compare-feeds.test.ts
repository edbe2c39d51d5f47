import { describe, expect, test } from 'vitest';
import { compareFeeds, feedFrom, freeFeed, keepFeed } from './compare-feeds';
import { SCHEMES, schemeTree } from '../feed/feed-tree';
import { allLabels } from '../makeup/labels';
import { wireHouse, wireUnit, makeUpBox } from '../makeup/make-up';
import { netlistOf } from '../proof/netlist';
import { prove } from '../proof/prove';
import { chainOf, wiringHouse } from '../test/wiring-house';
import { demo } from '../test/demo-house';
import { must } from '../test/must';

describe('the demo house, wired', () => {
  test.each(SCHEMES)('every circuit proves when it is fed %s', (scheme) => {
    for (const { unit } of wireHouse(demo).units) {
      if (unit.outlets.length === 0) continue;
      const wiring = wireUnit(demo, unit, schemeTree(demo, unit, scheme));
      const boxes = new Map(wiring.tree.nodes.map(({ box }) => [box.id, makeUpBox(demo, box, [wiring])]));
      const proof = prove(netlistOf(wiring, boxes));
      expect([...proof.flaws, ...proof.groups.flatMap((one) => one.flaws)].map((one) => one.message)).toEqual([]);
    }
  });

  test('as it stands: a stair and hall of four places, a half that is switched, fan and light apart, three-ways fed from the light', () => {
    const { units, boxes } = wireHouse(demo);
    const chains = units.flatMap((one) => one.plan.chains);
    const find = (name: string) => chains.find((one) => one.group.group.name === name)!;
    expect(find('Stair and upper hall').order).toHaveLength(4);
    expect(find('Living room lamp').group.controls[0]!.device).toMatchObject({ kind: 'receptacle', switched: 'half' });
    const fan = find('Bedroom 2 fan').group.controls[0]!.box;
    expect(find('Bedroom 2 light').group.controls[0]!.box.id).toBe(fan.id);
    const hall = find('Back hall light');
    const lamp = hall.group.controls[0]!.box.id;
    const run = units
      .flatMap((one) => one.runs)
      .find((one) => one.from?.id === lamp && hall.order.some((each) => each.box.id === one.to.id));
    expect(run!.cables[0]!.conductors.map((one) => one.signal?.kind)).toContain('leg');
    for (const wiring of units) expect(prove(netlistOf(wiring, boxes)).ok).toBe(true);
  });

  test('every cable has a label at each of its ends', () => {
    const { units } = wireHouse(demo);
    const labels = allLabels(demo, units);
    const cables = units.flatMap((one) => one.runs.flatMap((run) => run.cables));
    expect(labels).toHaveLength(2 * cables.length);
    for (const heading of ['FEED', 'TO NEXT', 'LAST']) expect(labels.some((one) => one.heading === heading)).toBe(true);
    expect(labels.some((one) => /^3-WAY [a-z]$/.test(one.heading))).toBe(true);
    for (const one of labels) expect(one.detail).toMatch(/^\d+-[234] (from|to) \S.*, circuit /);
  });
});

describe('feed orders compared and kept', () => {
  const house = wiringHouse({ ...chainOf(3), change: (one) => (one.cables = {}) });
  const unit = () => wireHouse(house).units[0]!;

  test('the fewest conductor-feet stands first, those with trouble last', () => {
    const options = compareFeeds(house, unit().unit);
    expect(options).toHaveLength(3);
    const clean = options.filter((one) => one.doubled + one.overfull.length === 0).map((one) => one.conductorFt);
    expect([...clean].sort((a, b) => a - b)).toEqual(clean);
    for (const one of options)
      expect(one.cableFt).toBeCloseTo(Object.values(one.byKind).reduce((sum, ft) => sum + ft, 0));
  });

  test('two cables from the panel are trouble, however little wire they take', () => {
    const drawn = wiringHouse({
      boxes: { A: [null, 'receptacle'], B: [null, 'receptacle'] },
      change: (one) =>
        Object.values(one.boxes).forEach((box, i) => (box.at = { kind: 'ceiling', x: 300 + 600 * i, y: 600 })),
    });
    const options = compareFeeds(drawn, wireHouse(drawn).units[0]!.unit);
    const byHand = options.find((one) => one.name === 'as drawn')!;
    expect(byHand.homeRuns).toBe(2);
    expect(options.at(-1)).toBe(byHand);
    expect(options[0]!.homeRuns).toBe(1);
    expect(byHand.conductorFt).toBeLessThan(options[0]!.conductorFt);
  });

  test.each(SCHEMES)('a switch that controls nothing yet has its cable all the same, fed %s', (scheme) => {
    const early = wiringHouse({
      boxes: {
        A: [null, 'receptacle'],
        L: ['A', 'luminaire'],
        S: ['A', 'switch'],
        T: ['A', 'switch'],
      },
      groups: { a: { switches: ['S-0'], controls: ['L-0'] } },
      change: (one) =>
        Object.values(one.boxes).forEach((box, i) => (box.at = { kind: 'ceiling', x: 200 + 250 * i, y: 300 })),
    });
    const { unit: whole } = wireHouse(early).units[0]!;
    const tree = schemeTree(early, whole, scheme);
    expect(tree.nodes.map((one) => one.box.id).sort()).toEqual(['A', 'L', 'S', 'T']);
    expect(tree.nodes.filter((one) => one.parent === undefined)).toHaveLength(1);
  });

  test('a scheme that is taken stays, a hand changes one feed, a loop is refused, and the tool takes over again', () => {
    const [first] = compareFeeds(house, unit().unit);
    const kept = must(keepFeed(house, first!)).house;
    expect(Object.keys(kept.cables)).toHaveLength(4);
    const wiring = wireHouse(kept).units[0]!;
    expect(wiring.tree.stored).toBe(true);
    expect(compareFeeds(kept, wiring.unit).map((one) => one.name)).toContain('as drawn');
    const leaf = wiring.tree.nodes.at(-1)!;
    const root = wiring.tree.nodes[0]!;
    const moved = must(feedFrom(kept, wiring, leaf.box.id, root.box.id)).house;
    expect(wireHouse(moved).units[0]!.tree.nodes.find((one) => one.box.id === leaf.box.id)!.parent!.box.id).toBe(
      root.box.id,
    );
    const loop = feedFrom(kept, wiring, root.box.id, leaf.box.id);
    expect(loop.ok ? '' : loop.problems[0]!.code).toBe('loop');
    expect(must(freeFeed(kept, wiring.unit)).house.cables).toEqual({});
  });
});
