import { describe, expect, it } from 'vitest';
import { lengthOfLegs } from '../../route/legs';
import { cutFeet, pullSheet } from '../../route/pull-sheet';
import { smallParts } from '../../route/small-parts';
import { must } from '../../test/must';
import { led } from '../../test/routed';
import { testRule } from '../../test/rule-tester';
import { walled } from '../../test/route-cases';
import { applyRemedy } from '../apply-remedy';
import { slabConduitsRemedy } from '../remedies';
import { cableOutsideFraming } from './cable-outside-framing';

/** A box in the middle of a floor on the ground. */
const onSlab = () =>
  led(
    walled([])
      .floorReceptacle('bed', 70, 60)
      .with((house) => {
        for (const box of Object.values(house.boxes)) for (const one of Object.values(box.devices)) one.circuit = 'a';
      }),
  );
let n = 0;
const set = () =>
  onSlab().with((house) => {
    house.sleeves = {
      ...must(applyRemedy(structuredClone(house), slabConduitsRemedy(1), (prefix) => `${prefix}${++n}`)).house.sleeves,
    };
  });

testRule(cableOutsideFraming, {
  passes: [['a conduit to it', set(), 'The way to R1-1 under the floor is a conduit: Conduit to R1-1.']],
  fails: [
    [
      'a receptacle on the railing of a deck',
      led(walled([]).room('deck', 'deck', [0, -124.5, 144, 120]).receptacle('deck', 'c0', 60, { circuit: 'a' })),
      'The cable to R2-1 leaves the house. Nonmetallic cable is not for wet places and not for the ground: take underground cable (UF-B), or wet-rated conductors in a raceway from a box inside.',
    ],
    [
      'a floor box on the ground',
      onSlab(),
      'The way to R1-1 lies under a floor on the ground. No nonmetallic cable lies in concrete: set conduit before it is poured, with wet-rated conductors (THWN), from a box in the wall.',
    ],
    [
      'a box on masonry',
      led(
        walled([['c1', 60]], { below: 'slab', above: 'attic' }).with(
          (house) => (house.rooms['bed']!.corners[1]!.covering = { kind: 'masonry', thicknessIn: 0 }),
        ),
      ),
      'The cable to R1-1 comes down the face of a wall without studs. It follows the surface closely and is protected by conduit where it can be hit.',
    ],
    [
      'a light under a roof without an attic',
      led(walled([]).over('bed', 'luminaire', 70, 60, { circuit: 'a' })),
      'The cable to R1-1 lies between rafters under a roof without an attic: 1 1/4 in from the faces that roofers and drywallers nail, or plated.',
    ],
  ],
  notApplicable: [['all in the walls', led(walled([['c0', 30]]))]],
});

describe('a conduit in the slab', () => {
  const house = set().build();
  const [sleeve] = Object.values(house.sleeves);
  const route = Object.values(house.routes).find((one) => one.legs.some((leg) => leg.kind === 'end'))!;
  const inSlab = lengthOfLegs(route.legs.filter((leg) => leg.kind === 'end'));

  it('is as long as its way, holds black, white and ground, and turns down and up', () => {
    expect(sleeve).toMatchObject({
      place: 'slab',
      trade: '3/4',
      lengthFt: Math.ceil(inSlab / 12),
      holds: [{ what: `wire ${house.circuits['a']!.awg}`, count: 3 }],
    });
    expect(sleeve!.bendsDeg).toBeGreaterThanOrEqual(180);
  });

  it('is pulled with conductors, and with cable to the wall alone', () => {
    const [group] = pullSheet(house, [route]);
    const { awg } = house.circuits['a']!;
    const cable = group!.lines.filter((one) => !one.isWire);
    const wires = group!.lines.filter((one) => one.isWire);
    expect(cable.map(({ kind, to }) => [kind, to])).toEqual([[`${awg}-2`, 'box in the wall']]);
    expect(wires.map((one) => one.kind)).toEqual(['black', 'white', 'green'].map((color) => `${awg} THWN ${color}`));
    // Its way, and a foot left at both ends.
    for (const one of wires) expect(one.feet).toBe(Math.ceil((inSlab + 24) / 12));
    expect(group!.feet).toBe(cable[0]!.feet);
    expect(cable[0]!.feet).toBeLessThan(cutFeet(house, { route, run: cable[0]!.cable.run }));
    expect(smallParts(house, [route]).find((one) => /conduit/.test(one.what))?.count).toBe(1);
  });
});
