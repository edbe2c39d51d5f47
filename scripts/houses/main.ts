import { EDITIONS } from '../../core/src/house/schema';
import { checkHouse } from '../../core/src/nec/check-house';
import { byTheTool } from '../../core/src/test/by-the-tool';
import { ofItsOwnMaking } from '../../core/src/test/own-making';
import {
  inMeters,
  mirrored,
  renamed,
  reordered,
  shifted,
  split,
  turned,
  verdictsOf,
} from '../../core/src/test/same-house';
import { wireHouse } from '../../core/src/makeup/make-up';
import { keptRoutes } from '../../core/src/circuits/kept-routes';
import { ROUTE_WAYS } from '../../core/src/route/ways';
import { planOf, routed } from '../../core/src/test/routed';
import { proveUnit } from '../../core/src/proof/prove';
import { randomHouse, specOf } from '../../core/src/test/random-house';

/** `npm run houses -- [count] [first seed]`: whole houses at random, laid out and planned by the tool alone, and what it breaks of its own rules. */
const [count = 100, first = 1] = process.argv.slice(2).map(Number);
const said = new Map<string, string[]>();
let left = 0;
for (let seed = first; seed < first + count; seed++) {
  const edition = EDITIONS[seed % EDITIONS.length]!;
  const name = `seed ${seed} (${edition}, ${JSON.stringify(specOf(seed))})`;
  try {
    const house = byTheTool(randomHouse(seed, edition));
    const tell = (what: string, message: string) => {
      left++;
      said.set(what, [...(said.get(what) ?? []), `${name}: ${message}`]);
    };
    for (const one of ofItsOwnMaking(checkHouse(house).findings)) tell(one.ruleId, one.message);
    const { units, boxes } = wireHouse(house);
    for (const unit of units) for (const flaw of proveUnit(house, unit, boxes).flaws) tell('proof', flaw.message);
    for (const way of ROUTE_WAYS) {
      const { unrouted } = planOf(house, way);
      for (const one of unrouted) tell(`no route, ${way}`, one.message);
      const led = routed(house, way);
      for (const [route, why] of keptRoutes(led).broken)
        tell(`route ${why}, ${way}`, `to ${led.boxes[route.to]!.tag}: ${JSON.stringify(route.legs)}`);
      for (const one of ofItsOwnMaking(checkHouse(led).findings))
        if (one.stage === 'routes') tell(one.ruleId, one.message);
    }
    const verdicts = verdictsOf(house);
    for (const change of [shifted, turned, mirrored, split, renamed, reordered, inMeters]) {
      const now = verdictsOf(change(house));
      const other = [...now.filter((one) => !verdicts.includes(one)), ...verdicts.filter((one) => !now.includes(one))];
      if (other.length > 0) tell(change.name, other.slice(0, 3).join('; '));
    }
  } catch (error) {
    left++;
    said.set('threw', [
      ...(said.get('threw') ?? []),
      `${name}: ${error instanceof Error ? error.stack : String(error)}`,
    ]);
  }
}
for (const [rule, list] of [...said].sort((a, b) => b[1].length - a[1].length)) {
  process.stdout.write(`${rule}: ${list.length}\n`);
  for (const one of list.slice(0, 4)) process.stdout.write(`    ${one}\n`);
}
process.stdout.write(`${count} houses, ${left} violations of the tool's own making\n`);
process.exitCode = left > 0 ? 1 : 0;
