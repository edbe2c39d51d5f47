import { describe, expect, it } from 'vitest';
import { EDITIONS, type House } from '../house/schema';
import { must } from '../test/must';
import { applyRemedy } from './apply-remedy';
import { boxFill } from '../makeup/box-fill';
import { wireHouse } from '../makeup/make-up';
import { checkHouse } from './check-house';
import { netlistOf } from '../proof/netlist';
import { prove } from '../proof/prove';
import { basementHouse } from '../test/basement-house';
import { byTheTool } from '../test/by-the-tool';
import { garageDwelling } from '../test/garage-dwelling';
import { smallHouse } from '../test/small-house';
import { openPlanHouse } from '../test/open-plan-house';
import { ranchHouse } from '../test/ranch-house';

/** The house with every open question answered by the button that stands under it, where there is one. */
const answered = (house: House): House =>
  checkHouse(house)
    .findings.filter((one) => one.kind === 'cannot-tell' && one.remedies.length > 0)
    .reduce((done, one) => must(applyRemedy(done, one.remedies[0]!, (prefix) => `${prefix}-answer`)).house, house);

describe.each(EDITIONS)('a house that nobody tuned, by the tool alone, under NEC %s', (edition) => {
  const house = answered(byTheTool(ranchHouse(edition)));
  const { findings } = checkHouse(house);

  it('has no violation, no question that one press does not answer, and of cautions only voltage drop', () => {
    const said = findings.filter((one) => one.ruleId !== 'voltage-drop').map((one) => `${one.ruleId}: ${one.message}`);
    expect(said).toEqual([]);
    expect(Object.keys(house.boxes).length).toBeGreaterThan(50);
    expect(Object.keys(house.circuits).length).toBeGreaterThan(10);
  });

  it('is proved in every position, and every box holds what comes in', () => {
    const { units, boxes } = wireHouse(house);
    for (const unit of units) {
      const proof = prove(netlistOf(unit, boxes));
      expect([...proof.flaws, ...proof.groups.flatMap((one) => one.flaws)].map((one) => one.message)).toEqual([]);
    }
    const full = [...boxes.values()].filter((one) => boxFill(house, one).fits === false).map((one) => one.box.tag);
    expect(full).toEqual([]);
  });
});

describe.each(EDITIONS)('houses that are no ranch, by the tool alone, under NEC %s', (edition) => {
  it.each([
    ['one space without walls between kitchen, dining and family room', openPlanHouse],
    ['a basement whose rooms are not called so', basementHouse],
    ['a dwelling over a garage', garageDwelling],
    ['a small house on a trailer', smallHouse],
  ] as const)('%s: no violation of the tool\u2019s own making', (_, drawn) => {
    const house = byTheTool(drawn(edition));
    const failed = checkHouse(house).findings.filter((one) => one.kind === 'fail' && one.severity === 'violation');
    expect(failed.map((one) => `${one.ruleId}: ${one.message}`)).toEqual([]);
    expect(Object.keys(house.boxes).length).toBeGreaterThan(12);
  });
});
