import { testRule } from '../../test/rule-tester';
import { lightingOutlet } from './lighting-outlet';
import { room } from '../../test/lights-and-alarms-cases';

testRule(lightingOutlet, {
  passes: [
    [
      '2020: an accessory building beside a lit hall is not named',
      room('hallway', '2020')
        .lit('r')
        .room('shed', 'accessory-building', [300, 0, 90, 90])
        .receptacle('shed', 'c0', 20),
    ],
    ['a bedroom with a light and a switch', room('bedroom').lit('r'), 'r is lit by a luminaire on a wall switch.'],
    [
      'a living room with a receptacle half of which is switched',
      room('living').receptacle('r', 'c1', 30, { switched: 'half' }).switchAt('r', 'c0', 8, null).governed('r'),
      'r is lit by a receptacle on a wall switch.',
    ],
    [
      'a hall governed by a group of two switches elsewhere',
      room('hallway')
        .room('next', 'living', [200, 0, 100, 100])
        .lit('next')
        .over('r', 'luminaire', 50, 50)
        .switchAt('next', 'c0', 60, null)
        .with((house) => {
          const [, , light, control] = Object.values(house.boxes).flatMap((box) => Object.keys(box.devices));
          house.switchGroups['g'] = { id: 'g', name: 'Hall', switches: [control!], controls: [light!] };
        }),
    ],
  ],
  fails: [
    [
      '2023: an accessory building with a receptacle and no light',
      room('accessory-building').receptacle('r', 'c1', 30),
      'r has no lighting outlet.',
    ],
    ['a bedroom with nothing', room('bedroom'), 'r has no lighting outlet, and no switched receptacle in its place.'],
    [
      'a bathroom with a switched receptacle only',
      room('bathroom').receptacle('r', 'c1', 30, { switched: 'whole' }).switchAt('r', 'c0', 8, null),
      'r has no lighting outlet.',
    ],
    [
      'a light and a switch that nobody has said to belong together',
      room('kitchen').ceiling('r', 'luminaire', null).switchAt('r', 'c0', 8, null),
      'No wall switch governs the light of r.',
    ],
    [
      'a light without a switch',
      room('kitchen').ceiling('r', 'luminaire', null),
      'No wall switch governs the light of r.',
    ],
    ['a ceiling fan without a light', room('den').ceiling('r', 'fan', null).switchAt('r', 'c0', 8, null)],
  ],
  notApplicable: [
    ['a closet needs no light', room('closet')],
    ['a detached garage without a box', room('garage')],
    ['an accessory building without power', room('accessory-building')],
    ['nor a pantry', room('pantry')],
  ],
});
