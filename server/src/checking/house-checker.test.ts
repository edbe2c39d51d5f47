import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { HouseChecker } from './house-checker';

const demo = readFileSync(new URL('../../../demo/studio-house.json', import.meta.url), 'utf8');

it('does not count what a thread takes to read its program against the house that is first in line', async () => {
  // From source a thread starts for a second or more; the demo house is checked in a tenth of one.
  const checker = new HouseChecker(900);
  expect(await checker.check(demo)).toMatchObject({ ok: true });
  await checker.stop();
});

it('gives up a house that takes longer than its budget, and goes on with the next', async () => {
  const checker = new HouseChecker(1);
  const answers = await Promise.all([checker.check(demo), checker.check(demo), checker.check(demo)]);
  for (const one of answers) expect(one).toMatchObject({ ok: false, problems: [{ code: 'too-long' }] });
  await checker.stop();
});
