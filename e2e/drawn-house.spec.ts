import { clickPlan, dragPlan, expect, goTo, openDemo, pick, takeAllProposals, test } from './harness';

type Place = readonly [x: number, y: number];
/** The same house of two bedrooms as is typed elsewhere: rooms by two corners, then what is set into their walls. Inches. */
const ROOMS: readonly (readonly [kind: string, from: Place, to: Place])[] = [
  ['living', [0, 0], [192, 168]],
  ['kitchen', [197, 0], [341, 168]],
  ['laundry', [345, 0], [429, 168]],
  ['garage', [434, 0], [698, 264]],
  ['hallway', [0, 173], [429, 215]],
  ['bedroom', [0, 219], [144, 363]],
  ['bedroom', [225, 219], [357, 363]],
  ['bathroom', [149, 219], [221, 363]],
  ['porch', [30, -77], [150, -5]],
  ['deck', [220, -101], [340, -5]],
];
const OPENINGS: readonly (readonly [kind: string, ...places: Place[]])[] = [
  ['Door', [90, 0], [280, 0], [400, 168], [185, 215], [72, 215], [290, 215], [429, 60]],
  ['Cased opening', [192, 84], [60, 168]],
  ['Window', [0, 60], [0, 120], [224, 0], [72, 363], [0, 290], [185, 363], [290, 363], [357, 290], [380, 0]],
  ['Vehicle door', [566, 264]],
];
const FIXTURES: readonly (readonly [kind: string, ...places: Place[]])[] = [
  ['counter', [341, 60], [341, 120]],
  ['sink', [341, 60]],
  ['dishwasher', [341, 100]],
  ['range', [300, 168]],
  ['refrigerator', [225, 168]],
  ['tub', [149, 310]],
  ['basin', [221, 270]],
  ['toilet', [221, 320]],
  ['washer', [345, 40]],
  ['dryer', [345, 80]],
  ['panel', [698, 140]],
];

test('a house of two bedrooms is drawn, laid out, switched and planned by mouse in at most 90 actions, without a violation', async ({
  owner: page,
}) => {
  let actions = 0;
  const did = async (work: Promise<unknown>, n = 1) => {
    await work;
    actions += n;
  };
  const choose = (palette: string, kind: string) =>
    did(page.getByRole('toolbar', { name: palette }).getByRole('button', { name: kind, exact: true }).click());
  await did(page.getByLabel('Name of the new house').fill('Drawn by hand'));
  await did(page.getByRole('button', { name: 'New house' }).click());
  await expect(page).toHaveURL(/\/house$/);

  await did(page.getByRole('button', { name: 'Draw room' }).click());
  let last = '';
  for (const [kind, from, to] of ROOMS) {
    if (kind !== last) await choose('Usual rooms', kind);
    last = kind;
    await did(dragPlan(page, from, to));
    if (kind === 'garage') await did(page.getByRole('button', { name: 'Fit' }).click());
  }
  await did(page.getByRole('button', { name: 'Put in' }).click());
  for (const [kind, ...places] of OPENINGS) {
    if (kind !== 'Door') await choose('Openings', kind);
    for (const [x, y] of places) await did(clickPlan(page, x, y));
  }
  await did(page.getByRole('button', { name: 'Set down' }).click());
  for (const [kind, ...places] of FIXTURES) {
    if (kind !== 'counter') await choose('Usual fixtures', kind);
    for (const [x, y] of places) await did(clickPlan(page, x, y));
  }
  expect(await takeAllProposals(page, did)).toEqual([]);
  expect(actions).toBeLessThanOrEqual(90);
});

test('what others put over the boxes is said at the room: siding, lamps, a covering in layers', async ({
  owner: page,
}) => {
  await openDemo(page, 'House');
  await page.getByRole('button', { name: /^Front porch/ }).click();
  await page.getByRole('button', { name: 'Finish and lamps' }).click();
  await pick(page, 'Siding of the house here', 'lap');
  await pick(page, 'Lamp color', '3000 K, soft');
  await page.getByRole('button', { name: 'Same in all rooms that say none' }).click();
  await expect(page.getByRole('button', { name: 'Same in all rooms that say none' })).toHaveCount(0);
  await page.getByRole('button', { name: /^Wall 1/ }).click();
  const layers = page.getByLabel('Layers on the studs').first();
  await layers.fill('silk 1/2');
  await layers.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“silk 1/2” names no layer');
  await layers.fill('backer 1/2, mortar 1/8, tile 3/8');
  await layers.press('Enter');
  await expect(page.getByLabel('Thickness', { exact: true }).first()).toHaveValue('1"');
  await goTo(page, 'Trim & test');
  await page.getByRole('button', { name: 'Trim list' }).click();
  await expect(page.getByText(/^\s*Lamps:/)).toContainText('at 3000 K');
});
