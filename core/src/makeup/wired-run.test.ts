import { describe, expect, it } from 'vitest';
import { measureDrop } from '../circuits/circuit-drop';
import type { House } from '../house/schema';
import { runOf } from './wired-run';
import { wiringHouse, type Spec } from '../test/wiring-house';

const circuitOf = (house: House) => house.circuits['Q']!;
/** Boxes are 5 ft apart in a row on the ceiling, with a foot of cable left in each: 7 ft from box to box, 12 ft over one of them. */
const [NEXT_FT, SECOND_NEXT_FT] = [7, 12];
/** From the panel, 45 ft away both ways, its breakers 37 in below the plate, to the first box. */
const HOME_FT = 90 + 37 / 12 + 2;

/** Handbook's rule of thumb: twice 12.9 Ω·cmil/ft of copper, No. 14 having 4110 cmil. Good to 3 % of what Chapter 9 Table 8 says. */
const handbookVolts = (ampFeet: number) => (2 * 12.9 * ampFeet) / 4110;

interface Case {
  readonly boxes: Spec['boxes'];
  readonly lengthFt?: number;
  readonly tag: string;
  readonly feet: number;
  readonly ampFeet: number;
}

describe('voltage drop along the feed order', () => {
  it.each<[string, Case]>([
    [
      'receptacles one after the other: 12 A at the last',
      {
        boxes: { A: [null, 'receptacle'], B: ['A', 'receptacle'], C: ['B', 'receptacle'] },
        tag: 'R-3',
        feet: HOME_FT + 2 * NEXT_FT,
        ampFeet: 12 * (HOME_FT + 2 * NEXT_FT),
      },
    ],
    [
      'past the middle one and back to it: longer than the shortest way',
      {
        boxes: { A: [null, 'receptacle'], B: ['C', 'receptacle'], C: ['A', 'receptacle'] },
        tag: 'R-2',
        feet: HOME_FT + SECOND_NEXT_FT + NEXT_FT,
        ampFeet: 12 * (HOME_FT + SECOND_NEXT_FT + NEXT_FT),
      },
    ],
    [
      'a lamp of 120 W before the receptacle draws its ampere as far as itself',
      {
        boxes: { A: [null, { kind: 'luminaire', va: 120 }], B: ['A', 'receptacle'] },
        tag: 'R-2',
        feet: HOME_FT + NEXT_FT,
        ampFeet: HOME_FT + 12 * (HOME_FT + NEXT_FT),
      },
    ],
    [
      'two ways from one box do not add to each other',
      {
        boxes: { A: [null, 'receptacle'], B: ['A', { kind: 'luminaire', va: 120 }], C: ['A', 'receptacle'] },
        tag: 'R-3',
        feet: HOME_FT + SECOND_NEXT_FT,
        ampFeet: HOME_FT + 12 * (HOME_FT + SECOND_NEXT_FT),
      },
    ],
    [
      'a home run of its own shares nothing',
      {
        boxes: { A: [null, { kind: 'luminaire', va: 600 }], B: [null, 'receptacle'] },
        tag: 'R-2',
        feet: HOME_FT - 5,
        ampFeet: 12 * (HOME_FT - 5),
      },
    ],
    [
      'measured by hand: as long as somebody says',
      {
        boxes: { A: [null, 'receptacle'], B: ['A', 'receptacle'] },
        lengthFt: 50,
        tag: 'R-2',
        feet: 50,
        ampFeet: 12 * 50,
      },
    ],
  ])('%s', (_, { boxes, lengthFt, tag, feet, ampFeet }) => {
    const house = wiringHouse({
      boxes,
      change: (one) => {
        Object.assign(circuitOf(one), { lengthFt });
        one.standards.dropLoad = 'far-end';
      },
    });
    const drop = measureDrop(house, circuitOf(house), runOf(house, circuitOf(house))!);
    expect(drop.at.tag).toBe(tag);
    expect(drop.feet).toBeCloseTo(feet, 2);
    expect(Math.abs(drop.volts / handbookVolts(ampFeet) - 1)).toBeLessThan(0.03);
  });

  it('a box that no drawn cable reaches is not on the run', () => {
    const house = wiringHouse({
      boxes: { A: [null, 'receptacle'], B: ['A', 'receptacle'] },
      change: (one) => void delete one.cables['c-B'],
    });
    const run = runOf(house, circuitOf(house))!;
    expect(run.nodes.map((one) => one.box.tag)).toEqual(['R-1']);
    expect(run.cableFt).toBeCloseTo(HOME_FT, 2);
  });

  it('two cables side by side are two lengths of cable', () => {
    // Five switches in one box and their lamps in the next: five switched wires and a neutral, more than a cable has.
    const lamps = ['L-0', 'L-1', 'L-2', 'L-3', 'L-4'];
    const house = wiringHouse({
      boxes: { S: [null, ...lamps.map(() => 'switch')], L: ['S', ...lamps.map(() => 'luminaire')] },
      groups: Object.fromEntries(lamps.map((lamp, i) => [`g${i}`, { switches: [`S-${i}`], controls: [lamp] }])),
    });
    expect(runOf(house, circuitOf(house))!.cableFt).toBeCloseTo(HOME_FT + 2 * NEXT_FT, 2);
  });

  it('without a panel there is no run; without drawn cables it begins at the box that is nearest to the panel', () => {
    const spec: Spec = {
      boxes: { A: [null, 'receptacle'], B: ['A', 'receptacle'], C: ['B', 'receptacle'] },
      change: (one) => void (one.cables = {}),
    };
    const house = wiringHouse(spec);
    // The third box is 10 ft nearer to the panel than the first.
    expect(runOf(house, circuitOf(house))!.cableFt).toBeCloseTo(HOME_FT - 10 + 2 * NEXT_FT, 2);
    const bare = wiringHouse({
      ...spec,
      change: (one) => {
        one.cables = {};
        one.panels = {};
        circuitOf(one).panel = null;
      },
    });
    expect(runOf(bare, circuitOf(bare))).toBeUndefined();
  });
});
