import { aHouse } from '../../test/house-builder';
import type { Edition } from '../../house/schema';
import { applianceOvercurrent } from './appliance-overcurrent';
import { testRule } from '../../test/rule-tester';
import { bathroomCircuit } from './bathroom-circuit';
import { circuitOverload } from './circuit-overload';
import { circuitVoltage } from './circuit-voltage';
import { conductorSize } from './conductor-size';
import { continuousLoads } from './continuous-loads';
import { cordLoad } from './cord-load';
import { fastenedHalf } from './fastened-half';
import { garageCircuit } from './garage-circuit';
import { generalCircuits } from './general-circuits';
import { individualCircuit } from './individual-circuit';
import { laundryCircuit } from './laundry-circuit';
import { outletOnCircuit } from './outlet-on-circuit';
import { receptacleRating } from './receptacle-rating';
import { receptacleSchool } from './receptacle-school';
import { smallApplianceCircuits } from './small-appliance-circuits';
import { smallApplianceOnly } from './small-appliance-only';
import { smallApplianceReceptacles } from './small-appliance-receptacles';
import { coldBehindGfci } from './cold-behind-gfci';
import { extendedCircuit } from './extended-circuit';
import { multiwireCircuit } from './multiwire-circuit';
import { stairLightCircuit } from './stair-light-circuit';
import { voltageDrop } from './voltage-drop';
import { whatRatingMayFeed } from './what-rating-may-feed';

const over = (circuit: string | null) => ({ heightIn: 43, circuit });
const kitchen = (edition: Edition = '2023') =>
  aHouse(edition)
    .room('kit', 'kitchen', [0, 0, 144, 144])
    .room('din', 'dining', [150, 0, 144, 144])
    .feature('kit', 'counter', ['c0', 0, 100, 25])
    .circuit('SA1', 20)
    .circuit('SA2', 20);

testRule(smallApplianceCircuits, {
  passes: [
    [
      'two circuits reach the counter',
      kitchen().receptacle('kit', 'c0', 20, over('SA1')).receptacle('kit', 'c0', 70, over('SA2')),
      'The counter of kit is fed by 2 circuits of 20 A.',
    ],
  ],
  fails: [
    [
      'one for the counter, one for the dining room',
      kitchen()
        .receptacle('kit', 'c0', 20, over('SA1'))
        .receptacle('kit', 'c0', 70, over('SA1'))
        .receptacle('din', 'c0', 20, { circuit: 'SA2' }),
      'The counter of kit is fed by 1 circuit of 20 A; 2 are due.',
    ],
    [
      'a 15 A circuit does not count',
      kitchen().circuit('L1', 15).receptacle('kit', 'c0', 20, over('SA1')).receptacle('kit', 'c0', 70, over('L1')),
    ],
    [
      'one circuit for the counters of two kitchens',
      kitchen()
        .room('kit2', 'kitchen', [300, 0, 144, 144])
        .feature('kit2', 'counter', ['c0', 0, 100, 25])
        .circuit('SA3', 20)
        .receptacle('kit', 'c0', 20, over('SA1'))
        .receptacle('kit', 'c0', 70, over('SA2'))
        .receptacle('kit2', 'c0', 20, over('SA3'))
        .receptacle('kit2', 'c0', 70, over('SA2')),
      'SA2 feeds the counters of kit and kit2: a small-appliance circuit serves one kitchen.',
    ],
  ],
  cannotTell: [
    [
      'no counter receptacle yet',
      kitchen(),
      'kit has no counter receptacle yet, so its small-appliance circuits cannot be counted.',
    ],
  ],
});

testRule(smallApplianceReceptacles, {
  passes: [
    [
      'the dining room rides on the counter circuit',
      kitchen().receptacle('kit', 'c0', 20, over('SA1')).receptacle('din', 'c0', 60, { circuit: 'SA1' }),
      'The receptacles of din are on small-appliance circuits, or on circuits of their own.',
    ],
    [
      'a switched receptacle of the dining room, in place of a light, on a lighting circuit: Exception 1',
      kitchen().circuit('L1', 15).receptacle('din', 'c0', 60, { circuit: 'L1', switched: 'half' }),
    ],
    [
      'a receptacle in a cabinet is none of 210.52(A) or (C)',
      kitchen()
        .circuit('L1', 15)
        .receptacle('kit', 'c0', 20, over('SA1'))
        .receptacle('kit', 'c1', 20, { circuit: 'L1', inCabinet: true }),
    ],
    [
      'a refrigerator on a 15 A circuit of its own',
      kitchen().circuit('F', 15, { purpose: 'individual' }).load('refrigerator', 'kit', 'c1', 40, 'F'),
    ],
  ],
  fails: [
    [
      'a dining room on a lighting circuit',
      kitchen().circuit('L1', 15).receptacle('din', 'c0', 60, { circuit: 'L1' }),
      'receptacle R2-1 in din: fed by L1, which is not a 20 A small-appliance circuit for din.',
    ],
    [
      '2014: a bread oven on a circuit of its own is not yet excepted',
      kitchen('2014').circuit('M', 20, { purpose: 'individual' }).load('other', 'kit', 'c1', 40, 'M'),
    ],
    [
      'a refrigerator on a general circuit with others',
      kitchen()
        .circuit('G', 20)
        .load('refrigerator', 'kit', 'c1', 40, 'G')
        .receptacle('din', 'c0', 60, { circuit: 'G' }),
    ],
  ],
});

testRule(smallApplianceOnly, {
  passes: [
    [
      'counter and dining room',
      kitchen().receptacle('kit', 'c0', 20, over('SA1')).receptacle('din', 'c0', 60, { circuit: 'SA1' }),
      'SA1 feeds small-appliance receptacles only.',
    ],
    [
      'the igniter of a gas range may ride along',
      kitchen()
        .receptacle('kit', 'c0', 20, over('SA1'))
        .load('other', 'kit', 'c1', 60, 'SA1', { name: 'Gas range igniter' }),
    ],
    ['a switch is no outlet', kitchen().receptacle('kit', 'c0', 20, over('SA1')).switchAt('kit', 'c2', 30, 'SA1')],
  ],
  fails: [
    [
      'under-cabinet lights off the counter circuit',
      kitchen().receptacle('kit', 'c0', 20, over('SA1')).ceiling('kit', 'luminaire', 'SA1', { style: 'strip' }),
      'SA1 is a small-appliance circuit and also feeds luminaire R1-2 in kit.',
    ],
    ['a dishwasher', kitchen().receptacle('kit', 'c0', 20, over('SA1')).load('dishwasher', 'kit', 'c0', 110, 'SA1')],
    ['a disposer', kitchen().receptacle('kit', 'c0', 20, over('SA1')).load('disposer', 'kit', 'c0', 110, 'SA1')],
    ['a compactor', kitchen().receptacle('kit', 'c0', 20, over('SA1')).load('compactor', 'kit', 'c0', 110, 'SA1')],
    [
      'a built-in microwave in its cabinet',
      kitchen()
        .receptacle('kit', 'c0', 20, over('SA1'))
        .load('microwave', 'kit', 'c0', 110, 'SA1', { heightIn: 70, inCabinet: true }),
    ],
  ],
  cannotTell: [
    [
      'a receptacle in a cabinet, its use not said',
      kitchen()
        .receptacle('kit', 'c0', 20, over('SA1'))
        .receptacle('kit', 'c1', 20, { circuit: 'SA1', inCabinet: true }),
      'SA1 is a small-appliance circuit and also feeds receptacle R1-2 in kit, in a cabinet: what it is for is not said. For a hood, disposer or built-in microwave it may not be there.',
    ],
  ],
});

const laundry = () =>
  aHouse()
    .room('laundry', 'laundry', [0, 0, 120, 100])
    .room('hall', 'hallway', [130, 0, 40, 100])
    .circuit('L', 20)
    .circuit('G', 15);
testRule(laundryCircuit, {
  passes: [
    [
      'two laundry receptacles alone on 20 A',
      laundry().receptacle('laundry', 'c0', 30, { circuit: 'L' }).receptacle('laundry', 'c0', 80, { circuit: 'L' }),
      'L feeds the laundry receptacles alone.',
    ],
    [
      'a washer in a hall closet on 20 A of its own',
      laundry()
        .room('cl', 'closet', [200, 0, 60, 36])
        .feature('cl', 'washer', ['c0', 0, 28, 28])
        .load('washer', 'cl', 'c0', 30, 'L'),
    ],
  ],
  fails: [
    [
      'a 15 A circuit',
      laundry().receptacle('laundry', 'c0', 30, { circuit: 'G' }),
      'No 20 A circuit feeds the laundry receptacles.',
    ],
    [
      'the hall rides along',
      laundry().receptacle('laundry', 'c0', 30, { circuit: 'L' }).receptacle('hall', 'c1', 30, { circuit: 'L' }),
      'L feeds the laundry and also receptacle R2-1 in hall.',
    ],
    [
      'a washer in the basement on 15 A',
      aHouse()
        .room('b', 'basement-unfinished', [0, 0, 200, 200])
        .feature('b', 'washer', ['c0', 0, 28, 28])
        .circuit('G', 15)
        .load('washer', 'b', 'c0', 30, 'G'),
    ],
    [
      'so does a light',
      laundry().receptacle('laundry', 'c0', 30, { circuit: 'L' }).ceiling('laundry', 'luminaire', 'L'),
    ],
  ],
  cannotTell: [
    [
      'a house without a laundry',
      aHouse().room('kit', 'kitchen', [0, 0, 100, 100]),
      'No laundry area is drawn. Most one-family houses need one with a 20 A circuit: draw it, or ask the authority.',
    ],
    [
      'not on a circuit yet',
      laundry().receptacle('laundry', 'c0', 30),
      'The laundry has no receptacle on a circuit yet.',
    ],
  ],
});

const baths = () =>
  aHouse()
    .room('one', 'bathroom', [0, 0, 96, 60])
    .room('two', 'bathroom', [100, 0, 96, 60])
    .room('hall', 'hallway', [0, 70, 96, 40])
    .circuit('B', 20);
testRule(bathroomCircuit, {
  passes: [
    [
      'pattern A: receptacles of two bathrooms and nothing else',
      baths().receptacle('one', 'c0', 20, { circuit: 'B' }).receptacle('two', 'c0', 20, { circuit: 'B' }),
      'B feeds bathroom receptacles alone.',
    ],
    [
      'pattern B: everything of one bathroom',
      baths()
        .receptacle('one', 'c0', 20, { circuit: 'B' })
        .ceiling('one', 'luminaire', 'B')
        .load('exhaust-fan', 'one', 'c1', 20, 'B'),
      'B feeds one and nothing outside it.',
    ],
    [
      'a washer in the bathroom is on the laundry circuit',
      baths().circuit('L', 20).receptacle('one', 'c0', 20, { circuit: 'B' }).load('washer', 'one', 'c2', 20, 'L'),
    ],
    [
      '2023: a bidet seat away from the basin may be on another circuit',
      baths()
        .feature('one', 'basin', ['c0', 10, 20, 18])
        .circuit('X', 15)
        .receptacle('one', 'c0', 36, { circuit: 'B' })
        .load('bidet-seat', 'one', 'c2', 10, 'X'),
    ],
  ],
  fails: [
    [
      '2017: a bidet seat is a bathroom receptacle like any',
      aHouse('2017')
        .room('one', 'bathroom', [0, 0, 96, 60])
        .circuit('X', 15)
        .feature('one', 'basin', ['c0', 10, 20, 18])
        .load('bidet-seat', 'one', 'c2', 10, 'X'),
    ],
    [
      'two bathrooms and one fan',
      baths()
        .receptacle('one', 'c0', 20, { circuit: 'B' })
        .receptacle('two', 'c0', 20, { circuit: 'B' })
        .load('exhaust-fan', 'one', 'c1', 20, 'B'),
      'B feeds bathroom receptacles and also Exhaust fan (R1-2).',
    ],
    [
      'a hall receptacle on the bathroom circuit',
      baths().receptacle('one', 'c0', 20, { circuit: 'B' }).receptacle('hall', 'c0', 20, { circuit: 'B' }),
    ],
    [
      'a 15 A circuit',
      baths().circuit('C', 15).receptacle('one', 'c0', 20, { circuit: 'C' }),
      'receptacle R1-1 in one: on C, a 15 A circuit. A 20 A circuit is due.',
    ],
  ],
  cannotTell: [
    ['not on a circuit yet', baths().receptacle('one', 'c0', 20), '1 bathroom receptacles are on no circuit yet.'],
  ],
});

const garage = (edition: Edition, bays: number) =>
  aHouse(edition)
    .room('garage', 'garage', [0, 0, 240, 240], { bays })
    .room('porch', 'porch', [0, 250, 100, 60])
    .room('liv', 'living', [250, 0, 100, 100])
    .circuit('G', 20)
    .circuit('X', 15);
testRule(garageCircuit, {
  passes: [
    [
      '2014: a 15 A circuit that stays in the garage, its light included',
      garage('2014', 2).receptacle('garage', 'c0', 30, { circuit: 'X' }).ceiling('garage', 'luminaire', 'X'),
      'X feeds the garage receptacles.',
    ],
    [
      '2017: with a readily accessible outdoor receptacle',
      garage('2017', 2)
        .receptacle('garage', 'c0', 30, { circuit: 'G' })
        .receptacle('porch', 'c0', 30, { circuit: 'G' }),
      'G feeds the garage receptacles.',
    ],
    [
      '2017: a freezer\u2019s receptacle is one of the garage\u2019s',
      garage('2017', 2).receptacle('garage', 'c0', 30, { circuit: 'G' }).load('freezer', 'garage', 'c1', 30, 'G'),
    ],
    [
      '2020: a single bay may share with its light',
      garage('2020', 1).receptacle('garage', 'c0', 30, { circuit: 'G' }).ceiling('garage', 'luminaire', 'G'),
    ],
    [
      '2023: the door opener never fails',
      garage('2023', 2)
        .receptacle('garage', 'c0', 30, { circuit: 'G' })
        .load('garage-door-opener', 'garage', 'c1', 30, 'G'),
    ],
  ],
  fails: [
    [
      '2014: with an outdoor receptacle',
      garage('2014', 2)
        .receptacle('garage', 'c0', 30, { circuit: 'G' })
        .receptacle('porch', 'c0', 30, { circuit: 'G' }),
    ],
    [
      '2017: a single bay may not share with its light',
      garage('2017', 1).receptacle('garage', 'c0', 30, { circuit: 'G' }).ceiling('garage', 'luminaire', 'G'),
    ],
    [
      '2020: garage and living room on one circuit',
      garage('2020', 2).receptacle('garage', 'c0', 30, { circuit: 'G' }).receptacle('liv', 'c0', 30, { circuit: 'G' }),
      'G feeds the garage receptacles and also receptacle R3-1 in liv.',
    ],
    [
      'a 15 A circuit',
      garage('2023', 2).receptacle('garage', 'c0', 30, { circuit: 'X' }),
      'No 20 A circuit feeds the garage receptacles.',
    ],
  ],
  cannotTell: [
    [
      'not on a circuit yet',
      garage('2023', 2).receptacle('garage', 'c0', 30),
      'The garage receptacles are on no circuit yet.',
    ],
  ],
});

const den = () => aHouse().room('den', 'den', [0, 0, 200, 200]);
testRule(conductorSize, {
  passes: [
    ['15 A on 14', den().circuit('A', 15), 'A: No. 14 fits its breaker and load.'],
    ['20 A on 12', den().circuit('A', 20)],
    [
      'a condenser with MCA 18 and MOCP 30 on 12 with 30 A: 240.4(G)',
      den()
        .circuit('A', 30, { poles: 2, awg: '12' })
        .load('air-conditioner', 'den', 'c0', 30, 'A', { mcaA: 18, mocpA: 30 }),
    ],
    [
      'a 3 hp saw at 230 V, 21.25 A, on 10 with a 45 A breaker: 430.22, 430.52',
      den().circuit('A', 45, { poles: 2, awg: '10' }).load('large-saw', 'den', 'c0', 30, 'A'),
    ],
    [
      'a welder of 50 A at a duty of 20 % on 10 with a 50 A breaker: 630.11, 630.12',
      den()
        .circuit('A', 50, { poles: 2, awg: '10' })
        .load('welder', 'den', 'c0', 30, 'A', { va: 12_000, dutyPercent: 20 }),
    ],
    ['20 A on 12 through an attic at 130 °F', den().circuit('A', 20, { inAttic: true })],
    ['20 A on 12, four cables through one sealed hole', den().circuit('A', 20, { bundled: 4 })],
    ['a bigger wire on a smaller breaker is fine', den().circuit('A', 15, { awg: '12' })],
    [
      '60 A on 6 for one fixed load, rounded up by 240.4(B)',
      den().circuit('A', 60, { poles: 2 }).load('ev-charger', 'den', 'c0', 30, 'A', { va: 10_560 }),
    ],
  ],
  fails: [
    [
      '20 A on 14',
      den().circuit('A', 20, { awg: '14' }),
      'A: No. 14 copper NM-B may have a 15 A breaker at most; this one has 20 A.',
    ],
    [
      'a kiln of 36 A on 8 with a 50 A breaker',
      den().circuit('A', 50, { poles: 2, awg: '8' }).load('kiln', 'den', 'c0', 30, 'A'),
      'A: No. 8 copper NM-B may have a 40 A breaker at most; this one has 50 A.',
    ],
    [
      'a 3 hp saw on 12: 20 A for 21.25 A',
      den().circuit('A', 30, { poles: 2, awg: '12' }).load('large-saw', 'den', 'c0', 30, 'A'),
      'A: No. 12 copper NM-B carries 20 A; the load with continuous parts at 125 % is 21.3 A.',
    ],
    [
      'a welder of 50 A at a duty of 60 % on 10: 39 A',
      den()
        .circuit('A', 50, { poles: 2, awg: '10' })
        .load('welder', 'den', 'c0', 30, 'A', { va: 12_000, dutyPercent: 60 }),
      'A: No. 10 copper NM-B carries 30 A; the load with continuous parts at 125 % is 39.0 A.',
    ],
    [
      'a condenser over its MOCP',
      den()
        .circuit('A', 40, { poles: 2, awg: '8' })
        .load('air-conditioner', 'den', 'c0', 30, 'A', { mcaA: 18, mocpA: 30 }),
      'A: No. 8 copper NM-B may have a 30 A breaker at most; this one has 40 A.',
    ],
    [
      'five cables through one sealed hole: 12 carries 15 A',
      den().circuit('A', 20, { bundled: 5 }),
      'A: No. 12 copper NM-B may have a 15 A breaker at most; this one has 20 A.',
    ],
    [
      'five cables of 14 with several receptacles: 12.5 A and no smaller breaker',
      den()
        .circuit('A', 15, { bundled: 5 })
        .receptacle('den', 'c0', 20, { circuit: 'A' })
        .receptacle('den', 'c0', 60, { circuit: 'A' }),
      'A: No. 14 copper NM-B carries less there than the smallest breaker.',
    ],
    [
      'a 48 A car charger on 6 AWG NM',
      den().circuit('A', 60, { poles: 2 }).load('ev-charger', 'den', 'c0', 30, 'A', { va: 11_520 }),
      'A: No. 6 copper NM-B carries 55 A; the load with continuous parts at 125 % is 60.0 A.',
    ],
  ],
  cannotTell: [
    [
      'an air conditioner follows its nameplate',
      den().circuit('A', 30, { poles: 2, awg: '12' }).load('air-conditioner', 'den', 'c0', 30, 'A'),
      'A: a cooling circuit is sized by the nameplate (MCA and MOCP, Article 440). Check them.',
    ],
  ],
});

testRule(circuitOverload, {
  passes: [
    [
      'three 750 W heaters at 240 V on 20 A: 11.7 A',
      den()
        .circuit('A', 20, { poles: 2 })
        .load('baseboard-heat', 'den', 'c0', 30, 'A', { va: 750 })
        .load('baseboard-heat', 'den', 'c1', 30, 'A', { va: 750 })
        .load('baseboard-heat', 'den', 'c2', 30, 'A', { va: 750 }),
      'A carries 11.7 A of 20 A.',
    ],
    [
      'thirty receptacles bind nothing by the code',
      Array.from({ length: 30 }, (_, i) => i).reduce(
        (house, i) => house.receptacle('den', 'c0', 5 + i * 6, { circuit: 'A' }),
        den().circuit('A', 15),
      ),
      'A carries 0.0 A of 15 A.',
    ],
  ],
  fails: [
    [
      'the same heaters at 120 V',
      den()
        .circuit('A', 20)
        .load('baseboard-heat', 'den', 'c0', 30, 'A', { va: 750, volts: 120 })
        .load('baseboard-heat', 'den', 'c1', 30, 'A', { va: 750, volts: 120 })
        .load('baseboard-heat', 'den', 'c2', 30, 'A', { va: 750, volts: 120 }),
      'A carries 23.4 A of known load on a 20 A breaker.',
    ],
    ['a 4,500 W water heater on 20 A', den().circuit('A', 20, { poles: 2 }).load('water-heater', 'den', 'c0', 30, 'A')],
  ],
});

const eightOnFifteen = (n: number) =>
  Array.from({ length: n }, (_, i) => i).reduce(
    (house, i) => house.receptacle('den', 'c0', 5 + i * 12, { circuit: 'A' }),
    den().circuit('A', 15),
  );
testRule(receptacleSchool, {
  passes: [['eight at 180 VA and 80 % fill 15 A', eightOnFifteen(8), "A: 100 % of the firm's standard."]],
  fails: [['nine do not fit', eightOnFifteen(9), "A is loaded to 113 % of the firm's standard."]],
});

const shared = (edition: '2017' | '2023' = '2023') =>
  aHouse(edition).room('den', 'den', [0, 0, 200, 200]).circuit('A', 20).ceiling('den', 'luminaire', 'A');
testRule(fastenedHalf, {
  passes: [
    [
      '10 A in all beside lights on 20 A',
      shared().load('disposer', 'den', 'c0', 30, 'A', { va: 1200 }),
      'A: 10.0 A fastened in place of 10 A allowed.',
    ],
    [
      'dishwasher and disposer alone: both fixed, nothing else',
      den()
        .circuit('A', 20)
        .circuit('L', 15)
        .ceiling('den', 'luminaire', 'L')
        .ceiling('den', 'fan', 'L')
        .load('dishwasher', 'den', 'c0', 30, 'A')
        .load('disposer', 'den', 'c1', 30, 'A'),
    ],
    [
      'luminaires are not counted as fastened equipment',
      shared('2017').ceiling('den', 'luminaire', 'A', { va: 1500 }).load('disposer', 'den', 'c0', 30, 'A', { va: 600 }),
    ],
  ],
  fails: [
    [
      'two of 10 A each share with lights: the sum counts',
      shared()
        .load('disposer', 'den', 'c0', 30, 'A', { va: 600, name: 'Disposer' })
        .load('dishwasher', 'den', 'c1', 30, 'A', { va: 660, name: 'Dishwasher' }),
      'A feeds lights or plugs as well as Disposer (R1-2), Dishwasher (R1-3): 10.5 A fastened in place, 10 A allowed.',
    ],
    [
      'a paddle fan is fastened in place as well',
      shared().ceiling('den', 'fan', 'A', { va: 60 }).load('disposer', 'den', 'c0', 30, 'A', { va: 1200 }),
    ],
    [
      'a 1,500 W bath heater beside its receptacle',
      shared('2017').receptacle('den', 'c0', 20, { circuit: 'A' }).load('bath-heater', 'den', 'c1', 30, 'A'),
    ],
  ],
});

const cord = (edition: '2017' | '2023' = '2023') =>
  aHouse(edition).room('den', 'den', [0, 0, 200, 200]).circuit('A', 15).receptacle('den', 'c1', 40, { circuit: 'A' });
testRule(cordLoad, {
  passes: [
    [
      'exactly 12 A on 15 A',
      cord('2017').load('portable-heater', 'den', 'c0', 30, 'A', { va: 1440 }),
      'Portable heater draws 12.0 A of 12 A allowed.',
    ],
    [
      '16 A of one plug on 20 A, by a 20 A receptacle',
      den()
        .circuit('A', 20)
        .receptacle('den', 'c1', 40, { circuit: 'A' })
        .load('portable-heater', 'den', 'c0', 30, 'A', { va: 1920, ratingA: 20 }),
    ],
    [
      'by itself at a single receptacle it may have the whole circuit',
      cord()
        .circuit('B', 15)
        .load('portable-heater', 'den', 'c0', 30, 'B', { style: 'single' })
        .load('kettle', 'den', 'c2', 30, 'A', { va: 900 }),
    ],
  ],
  fails: [
    [
      'a 1,500 W heater on 15 A',
      cord().load('portable-heater', 'den', 'c0', 30, 'A'),
      'Portable heater draws 12.5 A on A; 12 A is the most for one plug-in load there.',
    ],
    [
      'by itself at a duplex, which is two receptacles',
      den().circuit('B', 15).load('portable-heater', 'den', 'c0', 30, 'B'),
      'Portable heater draws 12.5 A on B; 12 A is the most for one plug-in load there.',
    ],
    [
      'a window unit over half of a circuit that feeds other things: 440.62(C)',
      cord().load('window-ac', 'den', 'c0', 30, 'A', { va: 1200 }),
      'Window air conditioner draws 10.0 A on A; 7.5 A is the most for one plug-in load there.',
    ],
    [
      'a 1,500 W heater on 20 A by a 15 A receptacle: Table 210.21(B)(2)',
      den()
        .circuit('A', 20)
        .receptacle('den', 'c1', 40, { circuit: 'A' })
        .load('portable-heater', 'den', 'c0', 30, 'A', { source: 'nameplate' }),
      'Portable heater draws 12.5 A at a 15 A receptacle; 12 A is the most for one plug there. On its 20 A circuit a 20 A receptacle may feed 16 A.',
    ],
    [
      '25 A of one plug on 30 A with another outlet',
      den()
        .circuit('A', 30, { poles: 2 })
        .load('other', 'den', 'c0', 30, 'A', { volts: 240, va: 6000, ratingA: 30 })
        .load('other', 'den', 'c1', 30, 'A', { volts: 240, va: 2400, ratingA: 30 }),
    ],
  ],
  cannotTell: [
    [
      'a kettle of typically 1,500 W on the counter, its plate not read',
      kitchen().receptacle('kit', 'c0', 20, over('SA1')).load('kettle', 'kit', 'c0', 70, 'SA1', { heightIn: 43 }),
      'Kettle typically draws 12.5 A; at its 15 A receptacle 12 A is the most for one plug. Read its plate, or set a larger receptacle.',
    ],
  ],
});

testRule(individualCircuit, {
  passes: [
    [
      '2020: a cooktop and an oven tapped from 50 A',
      kitchen('2020')
        .circuit('A', 50, { poles: 2 })
        .load('cooktop', 'kit', 'c1', 20, 'A')
        .load('oven', 'kit', 'c1', 80, 'A'),
      'Radiant cooktop is tapped from A with the other cooking equipment of its kitchen.',
    ],
    [
      'a furnace with its condensate pump',
      den()
        .circuit('A', 15)
        .load('furnace', 'den', 'c0', 30, 'A')
        .load('other', 'den', 'c1', 30, 'A', { name: 'Condensate pump' }),
      'Furnace has A to itself.',
    ],
    [
      '2014: a car charger alone',
      aHouse('2014')
        .room('den', 'den', [0, 0, 200, 200])
        .circuit('A', 40, { poles: 2 })
        .load('ev-charger', 'den', 'c0', 30, 'A'),
    ],
  ],
  fails: [
    [
      'a sump pump is no part of a furnace, whatever it is called',
      den()
        .circuit('A', 15)
        .load('furnace', 'den', 'c0', 30, 'A')
        .load('sump-pump', 'den', 'c1', 30, 'A', { name: 'Condensate pump' }),
    ],
    [
      'a convenience receptacle on the furnace circuit',
      den().circuit('A', 15).load('furnace', 'den', 'c0', 30, 'A').receptacle('den', 'c1', 30, { circuit: 'A' }),
      'Furnace needs a circuit of its own and shares A with receptacle R1-2 in den.',
    ],
    [
      'a boiler is central heating as well',
      den()
        .circuit('A', 15)
        .load('boiler', 'den', 'c0', 30, 'A', { individual: false })
        .receptacle('den', 'c1', 30, { circuit: 'A' }),
    ],
    [
      'under-cabinet lights off a cord-connected hood\u2019s circuit',
      den()
        .circuit('A', 20)
        .load('range-hood', 'den', 'c0', 30, 'A', { individual: false })
        .ceiling('den', 'luminaire', 'A', { style: 'strip' }),
    ],
    [
      'a car charger beside the garage receptacles',
      den().circuit('A', 40, { poles: 2 }).load('ev-charger', 'den', 'c0', 30, 'A').load('kiln', 'den', 'c1', 30, 'A'),
    ],
  ],
  notApplicable: [
    [
      'a hard-wired hood without such instructions',
      den().circuit('A', 15).load('range-hood', 'den', 'c0', 30, 'A', { cord: false, individual: false }),
    ],
  ],
});

testRule(continuousLoads, {
  passes: [
    [
      'a water heater marked continuous',
      den().circuit('A', 30, { poles: 2 }).load('water-heater', 'den', 'c0', 30, 'A'),
      'Water heater counts at 125 %.',
    ],
  ],
  fails: [
    [
      'one that is not',
      den().circuit('A', 20, { poles: 2 }).load('water-heater', 'den', 'c0', 30, 'A', { continuous: false }),
      'Water heater is not marked continuous, so its circuit is sized too small.',
    ],
  ],
});

testRule(circuitVoltage, {
  passes: [
    [
      'a range on two poles',
      den().circuit('A', 40, { poles: 2 }).load('range', 'den', 'c0', 30, 'A'),
      'Everything on A is made for 240 V.',
    ],
    [
      'a plugged saw of 1 hp at 240 V',
      den()
        .circuit('A', 20, { poles: 2 })
        .load('other', 'den', 'c0', 30, 'A', { volts: 240, va: 1400, motor: true, hp: 1, ratingA: 20 }),
    ],
  ],
  fails: [
    [
      'a range on one pole',
      den().circuit('A', 40).load('range', 'den', 'c0', 30, 'A'),
      'A is a 120 V circuit and feeds Range (R1-1), made for 240 V.',
    ],
    ['a luminaire on 240 V', den().circuit('A', 20, { poles: 2 }).ceiling('den', 'luminaire', 'A')],
    [
      '1,440 VA by a cord at 240 V: 210.6(A)',
      den().circuit('A', 20, { poles: 2 }).load('other', 'den', 'c0', 30, 'A', { volts: 240, va: 1440, ratingA: 20 }),
      'A feeds Other load (R1-1) by a cord at 240 V: in a dwelling, plugged equipment up to 1,440 VA is for 120 V.',
    ],
  ],
});

testRule(receptacleRating, {
  passes: [
    [
      '15 A duplexes on 20 A',
      den()
        .circuit('A', 20)
        .receptacle('den', 'c0', 20, { circuit: 'A' })
        .receptacle('den', 'c0', 60, { circuit: 'A' }),
      'The receptacles of A fit its rating.',
    ],
    [
      'one 15 A duplex alone on 20 A is two receptacles',
      den().circuit('A', 20).receptacle('den', 'c0', 20, { circuit: 'A' }),
    ],
    ['a 50 A range receptacle on 40 A', den().circuit('A', 40, { poles: 2 }).load('range', 'den', 'c0', 20, 'A')],
  ],
  fails: [
    [
      'a single 15 A receptacle alone on 20 A',
      den().circuit('A', 20).receptacle('den', 'c0', 20, { circuit: 'A', style: 'single' }),
      'receptacle R1-1 in den: a single receptacle rated below its 20 A circuit, A.',
    ],
    [
      'a 20 A receptacle on 15 A',
      den()
        .circuit('A', 15)
        .receptacle('den', 'c0', 20, { circuit: 'A', ratingA: 20 })
        .receptacle('den', 'c0', 60, { circuit: 'A' }),
      'receptacle R1-1 in den: not a rating allowed on the 15 A circuit A.',
    ],
  ],
});

testRule(whatRatingMayFeed, {
  passes: [
    [
      'two baseboards on 25 A',
      den()
        .circuit('A', 25, { poles: 2 })
        .load('baseboard-heat', 'den', 'c0', 30, 'A')
        .load('baseboard-heat', 'den', 'c1', 30, 'A'),
      'What A feeds may be on 25 A.',
    ],
    [
      '2020: a cooktop and an oven on 50 A',
      kitchen('2020')
        .circuit('A', 50, { poles: 2 })
        .load('cooktop', 'kit', 'c1', 20, 'A')
        .load('oven', 'kit', 'c1', 80, 'A'),
    ],
    ['one heat pump on 25 A by itself', den().circuit('A', 25, { poles: 2 }).load('mini-split', 'den', 'c0', 30, 'A')],
    ['2023: lights on 10 A', den().circuit('A', 10).ceiling('den', 'luminaire', 'A').ceiling('den', 'luminaire', 'A')],
  ],
  fails: [
    [
      '2014: a light on 30 A',
      aHouse('2014').room('den', 'den', [0, 0, 200, 200]).circuit('A', 30).ceiling('den', 'luminaire', 'A'),
      'A is a 30 A circuit and feeds luminaire R1-1 in den: in a dwelling, lights are on 15 or 20 A.',
    ],
    [
      'a kiln and a dryer on 50 A',
      den().circuit('A', 50, { poles: 2 }).load('kiln', 'den', 'c0', 30, 'A').load('dryer', 'den', 'c1', 30, 'A'),
      'A is a 50 A circuit of several outlets and feeds Kiln (R1-1), Clothes dryer (R1-2): those are for cooking equipment fastened in place.',
    ],
    [
      'two wells on 35 A',
      den()
        .circuit('A', 35, { poles: 2 })
        .load('well-pump', 'den', 'c0', 30, 'A')
        .load('well-pump', 'den', 'c1', 30, 'A'),
      'A has 2 outlets; a circuit of several outlets has 15, 20, 30, 40 or 50 A, not 35 A.',
    ],
    [
      '2023: a receptacle on 10 A',
      den().circuit('A', 10).receptacle('den', 'c0', 20, { circuit: 'A' }),
      'A is a 10 A circuit and feeds receptacle R1-1 in den.',
    ],
    [
      '2017: 10 A is no rating for several lights yet',
      aHouse('2017')
        .room('den', 'den', [0, 0, 200, 200])
        .circuit('A', 10)
        .ceiling('den', 'luminaire', 'A')
        .ceiling('den', 'luminaire', 'A'),
    ],
  ],
  notApplicable: [['15 and 20 A only', den().circuit('A', 15).circuit('B', 20)]],
});

testRule(outletOnCircuit, {
  passes: [
    ['all are', den().circuit('A', 15).receptacle('den', 'c0', 20, { circuit: 'A' }), 'All 1 outlets are on circuits.'],
  ],
  fails: [
    [
      'two are not',
      den().receptacle('den', 'c0', 20).ceiling('den', 'luminaire', null),
      '2 outlets of den are on no circuit.',
    ],
  ],
});

const heater = (ratingA: number, extra = {}) =>
  den().circuit('A', ratingA, { poles: 2 }).load('water-heater', 'den', 'c0', 30, 'A', extra);
testRule(applianceOvercurrent, {
  passes: [
    ['4.5 kW on 30 A, the next size over 28.1 A', heater(30), 'Water heater is on 30 A, of 30 A at most.'],
    ['1.5 kW at 120 V on 20 A', den().circuit('A', 20).load('hot-water-tap', 'den', 'c0', 30, 'A', { va: 1500 })],
    ['40 A marked on it', heater(40, { mocpA: 40 })],
  ],
  fails: [
    ['4.5 kW on 40 A', heater(40), 'Water heater is on 40 A; 30 A is the largest breaker it may have.'],
    ['1.5 kW at 240 V, 6.3 A, on 25 A', heater(25, { va: 1500 })],
  ],
  notApplicable: [['a motor', den().circuit('A', 40, { poles: 2 }).load('well-pump', 'den', 'c0', 30, 'A')]],
});

const big = (edition: '2017' | '2020' | '2023') => aHouse(edition).room('hall', 'living', [0, 0, 240, 361]);
testRule(generalCircuits, {
  passes: [
    [
      '2017: one 15 A circuit serves 600 ft²',
      aHouse('2017').room('hall', 'living', [0, 0, 240, 360]).circuit('A', 15).ceiling('hall', 'luminaire', 'A'),
      '600 ft² of floor ask for 1800 VA of general circuits; there are 1800 VA.',
    ],
    [
      'one that feeds only outdoors is a general one',
      aHouse()
        .room('hall', 'living', [0, 0, 240, 360])
        .room('yard', 'outdoors', [0, 370, 240, 99])
        .circuit('A', 15)
        .receptacle('yard', 'c0', 20, { circuit: 'A' }),
    ],
    ['2023: a garage is not counted', aHouse('2023').room('garage', 'garage', [0, 0, 400, 400]).circuit('A', 15)],
  ],
  fails: [
    [
      '2020: a hair over 600 ft² asks for a second',
      big('2020').circuit('A', 15).ceiling('hall', 'luminaire', 'A'),
      '602 ft² of floor ask for 1805 VA of general circuits; there are 1800 VA.',
    ],
    [
      'a circuit that feeds one appliance, and one that feeds nothing, serve none of the floor',
      aHouse()
        .room('hall', 'living', [0, 0, 240, 360])
        .circuit('A', 15)
        .load('freezer', 'hall', 'c0', 30, 'A')
        .circuit('B', 20),
      '600 ft² of floor ask for 1800 VA of general circuits; there are 0 VA.',
    ],
  ],
});

/** A den with a panel in its corner and a garage a given distance away, with one receptacle on 14. */
const away = (lengthFt?: number) =>
  den()
    .panel('P', 'den', 20)
    .circuit('A', 15, lengthFt === undefined ? {} : { lengthFt })
    .receptacle('den', 'c0', 60, { circuit: 'A' });
testRule(voltageDrop, {
  passes: [
    ['12 A over 30 ft of 14', away(30), 'A loses 1.8 % at most.'],
    ['along its feed order across one room', away()],
  ],
  fails: [
    ['12 A over 100 ft of 14', away(100), 'A loses 6.1 % on the 100 ft to R1-1 with 12 A there.'],
    [
      '12 A over 160 ft: No. 8 would do, and goes under no screw of a 15 A receptacle',
      away(160),
      'A loses 9.8 % on the 160 ft to R1-1 with 12 A there. No conductor that its devices take keeps it within; a shorter feed or a nearer panel would.',
    ],
  ],
  cannotTell: [
    [
      'no panel',
      den().circuit('A', 15).receptacle('den', 'c0', 60, { circuit: 'A' }),
      'How far A runs is not known: there is no panel yet. Set one down under House.',
    ],
  ],
  notApplicable: [['an empty circuit', den().circuit('A', 15)]],
});

const cold = (extra: Record<string, unknown> = {}) =>
  aHouse()
    .room('gar', 'garage', [0, 0, 240, 240], { bays: 1 })
    .circuit('G', 20)
    .load('freezer', 'gar', 'c0', 30, 'G', extra);
testRule(coldBehindGfci, {
  passes: [
    ['alone on its circuit', cold(), 'Nothing else can open the protection of Freezer.'],
    [
      '2020: in a dining room, where nothing asks for GFCI',
      aHouse('2020')
        .room('din', 'dining', [0, 0, 144, 144])
        .circuit('A', 20)
        .load('refrigerator', 'din', 'c0', 30, 'A')
        .receptacle('din', 'c0', 90, { circuit: 'A' }),
    ],
  ],
  fails: [
    [
      'with the other receptacles of the garage',
      cold().receptacle('gar', 'c0', 90, { circuit: 'G', heightIn: 48 }),
      'Freezer hangs on a GFCI that everything else on G can open.',
    ],
  ],
  notApplicable: [['no such appliance', den()]],
});

const stair = (withWhat: 'outdoors' | 'hallway') =>
  aHouse()
    .room('st', 'stair', [0, 0, 40, 120])
    .room('other', withWhat, [60, 0, 120, 120], withWhat === 'outdoors' ? { side: 'back' } : {})
    .circuit('A', 15)
    .ceiling('st', 'luminaire', 'A')
    .receptacle('other', 'c0', 40, { circuit: 'A' });
testRule(stairLightCircuit, {
  passes: [
    ['with a hall receptacle', stair('hallway'), 'The light of st does not hang on outdoor or garage receptacles.'],
  ],
  fails: [
    [
      'with an outdoor receptacle',
      stair('outdoors'),
      'All the light of st is on A, which also feeds receptacles outdoors or in the garage.',
    ],
  ],
  notApplicable: [['no stair', den()]],
});

const twins = (first: Record<string, unknown>, second: Record<string, unknown>) =>
  den()
    .panel('P', 'den', 20)
    .circuit('A', 20, { sharesNeutralWith: 'B', panel: 'P', ...first })
    .circuit('B', 20, { sharesNeutralWith: 'A', panel: 'P', ...second });
testRule(multiwireCircuit, {
  passes: [
    ['spaces 1 and 3', twins({ space: 1 }, { space: 3 }), 'A and B share a neutral on opposite legs, side by side.'],
    ['both halves of a two-pole GFCI', twins({ space: 1, breaker: 'gfci' }, { space: 3, breaker: 'gfci' })],
  ],
  fails: [
    [
      'spaces 1 and 2, on one leg',
      twins({ space: 1 }, { space: 2 }),
      'A and B share a neutral and both stand on leg A: it would carry both currents.',
    ],
    [
      'spaces 1 and 7, where no tie joins them',
      twins({ space: 1 }, { space: 7 }),
      'A and B share a neutral and are not next to each other in the panel, where a handle tie joins them.',
    ],
    [
      'only one of them says so',
      twins({ space: 1 }, { space: 3, sharesNeutralWith: undefined }),
      'A is to share a neutral with B, and B does not say so.',
    ],
    [
      'one of them has two poles',
      twins({ space: 1 }, { space: 5, poles: 2 }),
      'A and B share a neutral, but are not both of one pole.',
    ],
    [
      'a GFCI breaker on one half',
      twins({ space: 1, breaker: 'gfci' }, { space: 3 }),
      'A and B share a neutral: a one-pole GFCI breaker cannot guard half of it. Take a two-pole one, or GFCI receptacles with pigtailed neutrals.',
    ],
  ],
  cannotTell: [
    [
      'not in the panel yet',
      twins({ space: null }, { space: null }),
      'A and B share a neutral; set both down in the panel to see that their legs differ.',
    ],
  ],
  notApplicable: [['each its own neutral', den().circuit('A', 15)]],
});

const old = (
  edition: Edition,
  kind: 'bedroom' | 'bathroom',
  added: Record<string, unknown> | null,
  circuit: Record<string, unknown> = {},
) => {
  const house = aHouse(edition)
    .room('r', kind, [0, 0, 144, 120])
    .circuit('A', 15, circuit)
    .wallBox('r', 'c0', 30, { circuit: 'A' }, { state: 'existing' });
  return added ? house.wallBox('r', 'c0', 90, { circuit: 'A' }, added) : house;
};
testRule(extendedCircuit, {
  passes: [
    ['nothing is added', old('2023', 'bedroom', null), 'A exists and nothing is added to it: it may stay as it is.'],
    ['2020: in a bathroom', old('2020', 'bathroom', {}), 'A is extended outside the rooms named by 210.12.'],
    [
      '2017: the breaker was changed for an AFCI',
      old('2017', 'bedroom', {}, { breaker: 'afci' }),
      'A is extended, and its breaker is an AFCI.',
    ],
  ],
  fails: [
    [
      '2014: one receptacle more in a bedroom',
      old('2014', 'bedroom', {}),
      'A has 1 outlets that exist and 1 that are new, moved or replaced in rooms named by 210.12: AFCI by its breaker, or by a receptacle of the outlet branch-circuit type at the first receptacle that exists.',
    ],
    ['2023: one that was moved', old('2023', 'bedroom', { state: 'moved' })],
    [
      '2020: one that is replaced, beside one that stays',
      old('2020', 'bedroom', null).wallBox('r', 'c0', 90, { circuit: 'A', replaced: true }, { state: 'existing' }),
    ],
  ],
  notApplicable: [['a new house', den()]],
});
