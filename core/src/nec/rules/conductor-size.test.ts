import { testRule } from '../../test/rule-tester';
import { conductorSize } from './conductor-size';
import { den } from '../../test/circuits-cases';

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
