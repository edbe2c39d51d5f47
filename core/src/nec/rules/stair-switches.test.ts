import { testRule } from '../../test/rule-tester';
import { stairSwitches } from './stair-switches';
import { room } from '../../test/lights-and-alarms-cases';

const stair = (risers?: number) => room('stair').feature('r', 'stair', ['c1', 0, 100, 40], risers ? { risers } : {});

/** The same stair from the hall over it, drawn there or not, its light governed from below and, where so many are, from above. */
const twoFloors = (switches: 'below' | 'both', upper: 'hallway' | 'stair' = 'hallway') => {
  const builder = stair(14)
    .with((house) => {
      house.levels['L2'] = { ...house.levels['L1']!, id: 'L2', name: 'Upper level', elevationIn: 110 };
    })
    .room('up', upper, [0, 0, 200, 200], { level: 'L2' })
    .ceiling('r', 'luminaire', null)
    .switchAt('r', 'c0', 8, null);
  return (switches === 'both' ? builder.switchAt('up', 'c2', 20, null) : builder).governed('r', 'up');
};

testRule(stairSwitches, {
  passes: [
    ['fourteen risers and a switch on both floors', twoFloors('both'), 'The stair can be lit in r.'],
    ['a switch in the hall that it leads to', twoFloors('both'), 'The stair in r can be lit on Upper level.'],
    ['a stairwell over it', twoFloors('both', 'stair'), 'The stair in r can be lit on Upper level.'],
    ['five risers need none', stair(5), 'The stair in r has 5 risers: no switch is required at each end.'],
  ],
  fails: [
    [
      'six risers and no switch',
      stair(6).ceiling('r', 'luminaire', null),
      'No wall switch at the stair in r governs its light.',
    ],
    [
      'no switch on the floor that it leads to, where it is not drawn again',
      twoFloors('below'),
      'No wall switch on Upper level governs the light of the stair in r, which leads there.',
    ],
    ['no switch in the stairwell over it', twoFloors('below', 'stair')],
    [
      'a stairwell over three floors, and no switch on the lowest',
      twoFloors('both', 'stair')
        .with((house) => {
          house.levels['L0'] = { ...house.levels['L1']!, id: 'L0', name: 'Basement', elevationIn: -110 };
        })
        .room('down', 'stair', [0, 0, 200, 200], { level: 'L0' }),
      'No wall switch on Basement governs the light of the stair in r, which leads there.',
    ],
    ['an idle switch', stair(14).ceiling('r', 'luminaire', null).switchAt('r', 'c0', 8, null)],
    [
      'a switch of the porch light beside a stair light that is switched elsewhere',
      stair(14)
        .ceiling('r', 'luminaire', null)
        .room('porch', 'porch', [0, -90, 90, 80])
        .over('porch', 'luminaire', 40, -50)
        .switchAt('r', 'c0', 8, null)
        .with((house) => {
          const [, porch, control] = Object.values(house.boxes).flatMap((box) => Object.keys(box.devices));
          house.switchGroups['g'] = { id: 'g', name: 'Porch light', switches: [control!], controls: [porch!] };
        }),
    ],
    [
      'a fan\u2019s switch',
      stair(14)
        .ceiling('r', 'luminaire', null)
        .ceiling('r', 'fan', null)
        .switchAt('r', 'c0', 8, null)
        .with((house) => {
          const [, fan, control] = Object.values(house.boxes).flatMap((box) => Object.keys(box.devices));
          house.switchGroups['g'] = { id: 'g', name: 'Fan', switches: [control!], controls: [fan!] };
        }),
    ],
  ],
  notApplicable: [
    [
      'the steps of a deck are no interior stairway',
      room('deck').feature('r', 'stair', ['c1', 0, 100, 40], { risers: 8 }),
    ],
  ],
  cannotTell: [
    [
      'a switch here, and nothing drawn where it leads',
      stair(14).lit('r'),
      'Where the stair in r leads is not drawn, so its switch at the other end cannot be checked. Draw the stair on the floor that it joins.',
    ],
    [
      'floors over and under it that it might lead to',
      twoFloors('both')
        .with((house) => {
          house.levels['L0'] = { ...house.levels['L1']!, id: 'L0', name: 'Basement', elevationIn: -110 };
        })
        .room('down', 'hallway', [0, 0, 200, 200], { level: 'L0' }),
    ],
    ['risers not said', stair(), 'How many risers the stair in r has is not said. Enter its risers between floors.'],
  ],
});
