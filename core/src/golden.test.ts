import { describe, expect, it } from 'vitest';
import { edit } from './house/edit';
import { EDITIONS, type House } from './house/schema';
import { checkHouse } from './nec/check-house';
import { basementHouse } from './test/basement-house';
import { byTheTool } from './test/by-the-tool';
import { demo } from './test/demo-house';
import { must } from './test/must';
import { openPlanHouse } from './test/open-plan-house';
import { ranchHouse } from './test/ranch-house';

/** What the rules say of a house, word for word; of what passes only how often. */
function verdictsOf(house: House): string[] {
  const check = checkHouse(house);
  const findings = check.findings.map((one) => `${one.kind} ${one.key} | ${one.section} | ${one.message}`).toSorted();
  const counts = new Map<string, number>();
  for (const { ruleId } of check.passes) counts.set(ruleId, (counts.get(ruleId) ?? 0) + 1);
  return [...findings, ...[...counts].map(([rule, n]) => `pass ${rule} × ${n}`).toSorted()];
}

/** What the tool proposed: every box with its place and devices, every circuit with its members. */
function proposalsOf(house: House): string[] {
  const boxes = Object.values(house.boxes).map((box) => {
    const at = Object.values(box.at).map((one) => (typeof one === 'number' ? one.toFixed(2) : one));
    const devices = Object.values(box.devices).map((one) => `${one.kind}/${one.circuit ?? '-'}`);
    return `box ${box.tag} ${at.join(' ')} ${devices.join(' ')}`;
  });
  const circuits = Object.values(house.circuits).map(
    (one) => `circuit ${one.id} ${one.name} ${one.purpose} ${one.poles}p ${one.ratingA} A ${one.awg} ${one.breaker}`,
  );
  return [...boxes.toSorted(), ...circuits.toSorted()];
}

/**
 * Everything said and proposed of the sample houses. Every difference is explained by the commit that makes it, or is a defect.
 * Written again by `npx vitest run core/src/golden.test.ts --update`.
 */
describe('golden file', () => {
  const golden = (name: string, lines: readonly string[]) =>
    expect([...lines, ''].join('\n')).toMatchFileSnapshot(`./test/golden/${name}.txt`);
  for (const edition of EDITIONS) {
    it(`the studio house under ${edition}`, async () => {
      const under = must(edit(demo, 'Edition', (draft) => void (draft.job.edition = edition))).house;
      await golden(`studio-${edition}`, verdictsOf(under));
    });
    for (const [name, drawn] of [
      ['ranch', ranchHouse],
      ['open-plan', openPlanHouse],
      ['basement', basementHouse],
    ] as const)
      it(`the ${name} house by the tool alone under ${edition}`, async () => {
        const house = byTheTool(drawn(edition));
        await golden(`${name}-${edition}`, [...verdictsOf(house), ...proposalsOf(house)]);
      });
  }
});
