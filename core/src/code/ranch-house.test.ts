import { describe, expect, it } from 'vitest';
import { boxFill, checkHouse, EDITIONS, netlistOf, prove, wireHouse } from '../index';
import { byTheTool } from '../test/by-the-tool';
import { ranchHouse } from '../test/ranch-house';

describe.each(EDITIONS)('a house that nobody tuned, by the tool alone, under NEC %s', (edition) => {
  const house = byTheTool(ranchHouse(edition));
  const { findings } = checkHouse(house);

  it('has no violation, no open question, and of cautions only voltage drop', () => {
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
