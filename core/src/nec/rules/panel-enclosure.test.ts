import type { Panel } from '../../house/schema';
import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { panelEnclosure } from './panel-enclosure';

const outdoors = (enclosure?: Panel['enclosure']) =>
  aHouse()
    .room('porch', 'porch', [0, 0, 120, 80])
    .panel('P', 'porch', 20)
    .with((house) => void Object.assign(house.panels['P']!, enclosure ? { enclosure } : {}));

testRule(panelEnclosure, {
  passes: [['for the weather', outdoors('weatherproof'), 'P hangs outdoors in an enclosure made for the weather.']],
  fails: [
    [
      'for indoors',
      outdoors('indoor'),
      'P hangs in porch in an enclosure for indoors. Outdoors it has to be weatherproof, as type 3R is.',
    ],
  ],
  cannotTell: [
    [
      'nobody has looked',
      outdoors(),
      'P hangs in porch, outdoors. Whether its enclosure is made for the weather, type 3R or the like, is not said.',
    ],
  ],
  notApplicable: [['a panel indoors', served()]],
});
