import { testRule } from '../../test/rule-tester';
import { stairSwitches } from './stair-switches';
import { room } from '../../test/lights-and-alarms-cases';

const stair = (risers?: number) => room('stair').feature('r', 'stair', ['c1', 0, 100, 40], risers ? { risers } : {});

testRule(stairSwitches, {
  passes: [
    ['fourteen risers and a switch', stair(14).lit('r'), 'The stair can be lit in r.'],
    ['five risers need none', stair(5), 'The stair in r has 5 risers: no switch is required at each end.'],
  ],
  fails: [
    [
      'six risers and no switch',
      stair(6).ceiling('r', 'luminaire', null),
      'No wall switch at the stair in r governs its light.',
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
    ['risers not said', stair(), 'How many risers the stair in r has is not said. Enter its risers between floors.'],
  ],
});
