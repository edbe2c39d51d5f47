import { testRule } from '../../test/rule-tester';
import { tamperResistant } from './tamper-resistant';
import { room } from '../../test/boxes-in-place-cases';

testRule(tamperResistant, {
  passes: [
    [
      'as they are sold',
      room('den').receptacle('r', 'c0', 20),
      'The receptacles of r are tamper-resistant where they must be.',
    ],
    ['above 5 1/2 ft', room('den').receptacle('r', 'c0', 20, { tr: false, heightIn: 67 })],
    [
      'behind a refrigerator, single',
      room('kitchen')
        .load('refrigerator', 'r', 'c0', 20, null, { style: 'single' })
        .with((house) => void Object.assign(Object.values(Object.values(house.boxes)[0]!.devices)[0]!, { tr: false })),
    ],
    ['2014: 240 V, 20 A', room('den', '2014').receptacle('r', 'c0', 20, { tr: false, volts: 240, ratingA: 20 })],
    [
      '2017: in an attic, none of the places of 210.52',
      room('attic', '2017')
        .receptacle('r', 'c0', 20, { tr: false })
        .room('d', 'den', [0, 300, 99, 99])
        .receptacle('d', 'c0', 20),
    ],
    [
      '2017: in a storage room above grade, none of the places of 210.52',
      room('storage', '2017')
        .receptacle('r', 'c0', 20, { tr: false })
        .room('d', 'den', [0, 300, 99, 99])
        .receptacle('d', 'c0', 20),
    ],
    [
      'both halves behind two appliances of the sink cabinet',
      room('kitchen')
        .load('dishwasher', 'r', 'c0', 20, null, { style: 'half' })
        .with((house) => {
          const [box] = Object.values(house.boxes);
          const [upper] = Object.keys(box!.devices);
          const lower = { ...box!.devices[upper!]!, id: 'low', yokeWith: upper! };
          const [load] = Object.values(house.loads);
          box!.devices['low'] = lower as typeof lower & { kind: 'receptacle' };
          house.loads['second'] = { ...load!, id: 'second', kind: 'disposer', device: 'low' };
          for (const one of Object.values(box!.devices)) Object.assign(one, { tr: false });
        }),
    ],
    ['a switch beside one that is', room('den').receptacle('r', 'c0', 20).switchAt('r', 'c0', 60, null)],
    ['2023: 240 V, 30 A', room('laundry').receptacle('r', 'c0', 20, { tr: false, volts: 240, ratingA: 30 })],
  ],
  fails: [
    ['a plain one', room('den').receptacle('r', 'c0', 20, { tr: false }), 'Receptacle R1-1 is not tamper-resistant.'],
    [
      '2017: in a utility room of a basement, 210.52(G)(3)',
      room('utility', '2017')
        .receptacle('r', 'c0', 20, { tr: false })
        .with((house) => (house.levels['L1']!.grade = 'below')),
    ],
    [
      'a single one for a heater that is carried about',
      room('den')
        .load('portable-heater', 'r', 'c0', 20, null, { style: 'single' })
        .with((house) => void Object.assign(Object.values(Object.values(house.boxes)[0]!.devices)[0]!, { tr: false })),
    ],
    [
      'the upper half behind an appliance, the lower one free',
      room('kitchen')
        .load('dishwasher', 'r', 'c0', 20, null, { style: 'half' })
        .with((house) => {
          const [box] = Object.values(house.boxes);
          const [upper] = Object.keys(box!.devices);
          box!.devices['low'] = {
            ...box!.devices[upper!]!,
            id: 'low',
            yokeWith: upper!,
          } as NonNullable<typeof box>['devices'][string];
          for (const one of Object.values(box!.devices)) Object.assign(one, { tr: false });
        }),
    ],
    ['2020: in an attic of the dwelling', room('attic', '2020').receptacle('r', 'c0', 20, { tr: false })],
    ['2017: 240 V, 20 A', room('den', '2017').receptacle('r', 'c0', 20, { tr: false, volts: 240, ratingA: 20 })],
  ],
  cannotTell: [
    [
      '2014: in a storage room under grade, if it is',
      room('storage', '2014')
        .receptacle('r', 'c0', 20, { tr: false })
        .with((house) => void Object.assign(house.levels['L1']!, { grade: 'not-known', elevationIn: -96 })),
      'Receptacle R1-1 is not tamper-resistant. If r lies below grade, it is part of a basement and needs to be: mark the level, or take one that is.',
    ],
  ],
});
