import type { House } from '../../house/schema';
import { testRule } from '../../test/rule-tester';
import { wiringBuilder } from '../../test/wiring-house';
import { aHouse } from '../../test/house-builder';
import { ungroundedReceptacle } from './ungrounded-receptacle';

/** An old box without a ground, what is in it, and one behind it. */
const old = (device: Readonly<Record<string, unknown>> = {}, change: (house: House) => void = () => undefined) =>
  wiringBuilder({
    boxes: {
      A: [null, { kind: 'receptacle', ...device }],
      B: ['A', { kind: 'receptacle' }],
    },
    change: (house) => {
      for (const id of ['A', 'B']) Object.assign(house.boxes[id]!, { state: 'existing', noGround: true });
      house.circuits['Q']!.breaker = 'plain';
      change(house);
    },
  });
const plugged = (kind: 'refrigerator' | 'kettle' | 'dryer', state = 'existing') =>
  aHouse()
    .room('r', 'garage', [0, 0, 200, 200], { bays: 1 })
    .circuit('A', 30, { breaker: 'gfci', poles: kind === 'dryer' ? 2 : 1 })
    .load(kind, 'r', 'c0', 40, 'A')
    .with(({ boxes }) => void Object.assign(Object.values(boxes)[0]!, { state, noGround: true }));

testRule(ungroundedReceptacle, {
  passes: [
    [
      'both stay as they are',
      old(),
      'R-1 has no ground and stays as it is: a receptacle of two slots, or one with GFCI.',
    ],
    [
      'one is replaced by a GFCI receptacle',
      old({ replaced: true, gfci: true }, ({ boxes }) => {
        boxes['A']!.at = { kind: 'wall', wall: 'c0', alongIn: 60, heightIn: 16 };
      }),
      'R-1 has GFCI and no ground: mark its plate "No Equipment Ground", and let no ground go on from it.',
    ],
    [
      'one is replaced, behind a breaker that guards it',
      old({ replaced: true }, (house) => (house.circuits['Q']!.breaker = 'gfci')),
      'R-1 has GFCI and no ground: mark its plate "No Equipment Ground" and "GFCI Protected", and let no ground go on from it.',
    ],
    ['a kettle, whose cord has none', plugged('kettle')],
    [
      'a ground was brought to where the new one starts',
      old({}, ({ boxes }) => {
        delete boxes['A']!.noGround;
        Object.assign(boxes['B']!, { state: 'existing', noGround: true });
      }),
    ],
  ],
  fails: [
    [
      'one is replaced on a plain breaker',
      old({ replaced: true }),
      'R-1 is replaced where its old wiring brings no ground. Give it GFCI and mark its plate, take a receptacle of two slots, or bring a ground to it.',
    ],
    [
      'a refrigerator behind a GFCI',
      plugged('refrigerator'),
      'Refrigerator needs a ground, and none comes to R1-1: GFCI does not stand in for it. Bring a ground, or feed it from elsewhere.',
    ],
    ['the dryer moved, its circuit extended', plugged('dryer', 'moved')],
    [
      'a new box fed from there',
      old({}, ({ boxes }) => void Object.assign(boxes['B']!, { state: undefined, noGround: undefined })),
      'The cable from R-1 to R-2 starts where no ground comes, and what is new needs one. Bring a ground to R-1 as 250.130(C) lets you, or feed R-2 from elsewhere.',
    ],
  ],
  cannotTell: [
    [
      'a dryer on its old circuit of three wires',
      plugged('dryer'),
      'Clothes dryer stands at R1-1, whose old circuit has no ground. Its frame may stay joined to the neutral where that is insulated, or is the bare one of a service-entrance cable from the service panel, and No. 10 copper or larger. Look; otherwise bring a ground.',
    ],
    [
      'a new box by the feed order that is supposed',
      old({}, (house) => {
        Object.assign(house.boxes['A']!, { state: undefined, noGround: undefined });
        house.cables = {};
      }),
      'The feed order that is supposed here feeds R-1 from R-2, where no ground comes. What is new needs one: say which cable feeds it.',
    ],
  ],
  notApplicable: [['no circuit', wiringBuilder({ boxes: {}, change: (house) => (house.circuits = {}) })]],
});
