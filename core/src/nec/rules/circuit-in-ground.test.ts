import type { BuriedWiring } from '../../house/schema';
import { aHouse, type HouseBuilder } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { circuitInGround } from './circuit-in-ground';

type Extra = Readonly<Record<string, unknown>>;

/** A shed fed by one circuit from the panel in the garage of the house; its receptacle there has a GFCI of its own. */
const shed = (buried?: Partial<BuriedWiring>, circuit: Extra = {}, ratingA = 20): HouseBuilder =>
  aHouse()
    .room('garage', 'garage', [0, 0, 240, 240])
    .room('shed', 'accessory-building', [600, 0, 120, 120])
    .panel('P', 'garage', 24)
    .circuit('a', ratingA, { panel: 'P', space: 1, breaker: 'plain', ...(buried ? { buried } : {}), ...circuit })
    .receptacle('shed', 'c0', 60, { circuit: 'a', gfci: true });
const gfci = { breaker: 'gfci' };
const pvc = { wiring: 'raceway', raceway: { kind: 'pvc-40', trade: '1/2' } } as const;
const rigid = { wiring: 'raceway', raceway: { kind: 'rigid', trade: '1/2' } } as const;
/** A circuit of 240 V and 50 A for a machine in the shed. */
const machine = (raceway: BuriedWiring['raceway']): HouseBuilder =>
  aHouse()
    .room('garage', 'garage', [0, 0, 240, 240])
    .room('shed', 'accessory-building', [600, 0, 120, 120])
    .panel('P', 'garage', 24)
    .circuit('a', 50, {
      panel: 'P',
      space: 1,
      poles: 2,
      breaker: 'plain',
      buried: { wiring: 'raceway', raceway, coverIn: 18 },
    })
    .load('welder', 'shed', 'c0', 60, 'a', { volts: 240, cord: true });

testRule(circuitInGround, {
  passes: [
    ['a raceway of no kind at 18 in', shed({ wiring: 'raceway', coverIn: 18 })],
    ['UF at 24 in', shed({ coverIn: 24 }), 'a lies deep enough in the ground.'],
    ['UF at 12 in behind a GFCI breaker of 20 A', shed({ coverIn: 12 }, gfci)],
    ['PVC at 18 in', shed({ ...pvc, coverIn: 18 })],
    ['PVC at 12 in behind a GFCI breaker', shed({ ...pvc, coverIn: 12 }, gfci)],
    ['rigid metal conduit at 6 in', shed({ ...rigid, coverIn: 6 })],
    ['UF at 18 in under the driveway', shed({ coverIn: 18, under: 'driveway' })],
    ['UF at 12 in under it behind a GFCI breaker', shed({ coverIn: 12, under: 'driveway' }, gfci)],
    ['PVC at 4 in under a slab outdoors', shed({ ...pvc, coverIn: 4, under: 'slab' })],
    ['UF at 6 in under it behind a GFCI breaker', shed({ coverIn: 6, under: 'slab' }, gfci)],
    ['two No. 6 and a No. 10 in 3/4 in', machine({ kind: 'pvc-40', trade: '3/4' })],
  ],
  fails: [
    [
      'UF at 18 in',
      shed({ coverIn: 18 }),
      `a lies 1'-6" deep; 2'-0" of cover is the least, 1'-0" with GFCI protection ahead of it.`,
    ],
    ['UF at 12 in, the GFCI in the shed is behind the ground', shed({ coverIn: 12 })],
    [
      'UF at 12 in behind a GFCI breaker of 30 A',
      shed({ coverIn: 12 }, gfci, 30),
      `a lies 1'-0" deep; 2'-0" of cover is the least.`,
    ],
    ['UF at 11 in behind a GFCI breaker', shed({ coverIn: 11 }, gfci)],
    ['rigid at 6 in under the driveway', shed({ ...rigid, coverIn: 6, under: 'driveway' })],
    ['UF at 6 in under a slab without GFCI', shed({ coverIn: 6, under: 'slab' })],
    [
      'nonmetallic cable',
      shed({ wiring: 'nonmetallic', coverIn: 30 }),
      'a lies in the ground as nonmetallic cable, which is not made for it. Underground cable (UF), or wet-rated conductors in a raceway, are.',
    ],
    [
      'two No. 6 and a No. 10 in 1/2 in',
      machine({ kind: 'pvc-40', trade: '1/2' }),
      'The conductors of a fill 43 % of their raceway of 1/2 in; 40 % is the most.',
    ],
  ],
  cannotTell: [
    [
      'a raceway of no kind at 6 in',
      shed({ wiring: 'raceway', coverIn: 6 }),
      'a lies in the ground in a raceway. Of what kind? Rigid metal may lie shallower than PVC.',
    ],
    [
      'nothing is said of it',
      shed(),
      'a leaves its structure for shed. How does it lie in the ground, and how deep? Spans overhead are for the person on site to look at: 225.18.',
    ],
    ['its depth is not said', shed({}), `How deep does a lie? 2'-0" of cover is the least for it.`],
  ],
  notApplicable: [
    [
      'a circuit of the house alone',
      aHouse()
        .room('garage', 'garage', [0, 0, 240, 240])
        .panel('P', 'garage', 24)
        .circuit('a', 20, { panel: 'P' })
        .receptacle('garage', 'c0', 60, { circuit: 'a' }),
    ],
  ],
});
