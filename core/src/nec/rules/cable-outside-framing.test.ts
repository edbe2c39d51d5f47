import { led } from '../../test/routed';
import { testRule } from '../../test/rule-tester';
import { walled } from '../../test/route-cases';
import { cableOutsideFraming } from './cable-outside-framing';

testRule(cableOutsideFraming, {
  passes: [],
  fails: [
    [
      'a receptacle on the railing of a deck',
      led(walled([]).room('deck', 'deck', [0, -124.5, 144, 120]).receptacle('deck', 'c0', 60, { circuit: 'a' })),
      'The cable to R2-1 leaves the house. Nonmetallic cable is not for wet places and not for the ground: take underground cable (UF-B), or wet-rated conductors in a raceway from a box inside.',
    ],
    [
      'a floor box on the ground',
      led(
        walled([])
          .floorReceptacle('bed', 70, 60)
          .with((house) => {
            for (const box of Object.values(house.boxes))
              for (const one of Object.values(box.devices)) one.circuit = 'a';
          }),
      ),
      'The way to R1-1 lies under a floor on the ground. No nonmetallic cable lies in concrete: set conduit before it is poured, with wet-rated conductors (THWN).',
    ],
    [
      'a box on masonry',
      led(
        walled([['c1', 60]], { below: 'slab', above: 'attic' }).with(
          (house) => (house.rooms['bed']!.corners[1]!.covering = { kind: 'masonry', thicknessIn: 0 }),
        ),
      ),
      'The cable to R1-1 comes down the face of a wall without studs. It follows the surface closely and is protected by conduit where it can be hit.',
    ],
    [
      'a light under a roof without an attic',
      led(walled([]).over('bed', 'luminaire', 70, 60, { circuit: 'a' })),
      'The cable to R1-1 lies between rafters under a roof without an attic: 1 1/4 in from the faces that roofers and drywallers nail, or plated.',
    ],
  ],
  notApplicable: [['all in the walls', led(walled([['c0', 30]]))]],
});
