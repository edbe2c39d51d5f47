import { testRule } from '../../test/rule-tester';
import { withShop } from '../../test/supply-cases';
import { feederInGround } from './feeder-in-ground';

testRule(feederInGround, {
  passes: [
    ['18 in of cover over PVC', withShop({ coverIn: 18 }), 'The feeder of Q lies deep enough.'],
    ['6 in over rigid metal conduit', withShop({ coverIn: 6, raceway: { kind: 'rigid', trade: '1' } })],
    ['24 in over UF', withShop({ coverIn: 24, wiring: 'underground' })],
    ['18 in over UF under the drive of a house', withShop({ coverIn: 18, wiring: 'underground', underDriveway: true })],
  ],
  fails: [
    [
      'UF at 18 in',
      withShop({ coverIn: 18, wiring: 'underground' }),
      `The feeder of Q lies 1'-6" deep; 2'-0" of cover is the least.`,
    ],
    [
      'service-entrance cable',
      withShop({ coverIn: 30, wiring: 'service-entrance' }),
      'The feeder of Q is cable that is not made for the ground. Underground cable (UF), or wet-rated conductors in a raceway, are.',
    ],
    [
      'rigid conduit at 6 in under the drive',
      withShop({ coverIn: 6, raceway: { kind: 'rigid', trade: '1' }, underDriveway: true }),
    ],
  ],
  notApplicable: [['nothing in the ground', withShop()]],
});
