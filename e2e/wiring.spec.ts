import { expect, goTo, menu, openDemo, pick, signIn, test } from './harness';

test('a group is looked at, loses a switch, and gets it back by drawing from the switch to the light', async ({
  owner: page,
}) => {
  await openDemo(page, 'Switching');
  await page.getByRole('button', { name: /Stair and upper hall/ }).click();
  const groups = page.getByRole('region', { name: 'Switch groups' });
  await expect(groups).toContainText('2 three-way, 2 four-way');
  await page.getByRole('button', { name: 'Take the switch at S1-3 out' }).click();
  await expect(groups).toContainText('2 three-way, 1 four-way');
  await expect(page.getByText('1 switch without a group')).toBeVisible();
  const [from, to] = [
    page.locator('[data-hit="box"][data-id="bs78"]'),
    page.locator('[data-hit="box"][data-id="b6x"]'),
  ];
  const [a, b] = [(await from.boundingBox())!, (await to.boundingBox())!];
  await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2);
  await page.mouse.down();
  await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(groups).toContainText('2 three-way, 2 four-way');
  await expect(page.getByText('without a group')).toHaveCount(0);
});

test('the house is walked in the dark: the planted flaw is named, watched and cured', async ({ owner: page }) => {
  await openDemo(page, 'Switching');
  await page.getByRole('tab', { name: 'Night walk' }).click();
  const flaw = page.locator('article', {
    hasText: 'By the door from Dining room there is no switch for the light of Back hall',
  });
  await expect(flaw).toContainText('into the dark');
  const score = Number(await page.locator('.score b').innerText());
  await flaw.getByRole('button', { name: /into the dark/ }).click();
  await expect(page.getByRole('status').filter({ hasText: 'no switch for Back hall' })).toBeVisible();
  await flaw.getByRole('button', { name: 'Add a switch here' }).click();
  await expect(flaw).toHaveCount(0);
  expect(Number(await page.locator('.score b').innerText())).toBeGreaterThan(score);
  await page.getByRole('tab', { name: /Groups/ }).click();
  await expect(page.getByRole('button', { name: /Back hall light/ })).toContainText('S4');
});

test('a standard of switching is chosen, what is drawn otherwise is listed, and changed in part', async ({
  owner: page,
}) => {
  await openDemo(page, 'Switching');
  await page.getByRole('button', { name: 'Job' }).click();
  await page.getByRole('tab', { name: 'Switching' }).click();
  await pick(page, 'Outdoor lights', 'dusk sensor in the light');
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: 'Compare with your practice' }).click();
  const panel = page.getByRole('region', { name: 'Compared with your practice' });
  await expect(panel).toContainText('2 things are drawn otherwise');
  await panel.getByRole('checkbox', { name: /Rear deck light/ }).uncheck();
  await panel.getByRole('button', { name: 'Change 1' }).click();
  await expect(panel).toHaveCount(0);
  await page.getByRole('button', { name: 'Compare with your practice' }).click();
  await expect(panel).toContainText('1 thing is drawn otherwise');
  await expect(panel).toContainText('Rear deck light: a dusk sensor in RD-4');
});

test('make-up: a card, its labels, another feed order, the proof, and a netlist to take along', async ({
  owner: page,
}) => {
  await openDemo(page, 'Make-up');
  await pick(page, 'Room', 'Foyer');
  const card = page.getByRole('article', { name: 'Make-up of F-11' });
  await expect(card).toContainText('turn off and test before opening');
  await expect(card).toContainText('16 × 14 allowed, 15 used');
  await expect(card).toContainText('8 of 8 positions');
  await page.getByRole('button', { name: 'Labels' }).click();
  await expect(page.getByRole('region', { name: 'Cable labels' })).toContainText('3-WAY');
  await page.getByRole('button', { name: 'Feed order' }).click();
  const feed = page.getByRole('region', { name: 'Feed order' });
  await pick(page, 'Circuit', 'Garage opener and lights');
  await menu(page, 'G-6 takes its power from', 'G-5');
  await expect(page.getByRole('alert')).toContainText('power cannot come back from there');
  await feed
    .getByRole('row', { name: /Power to the switches first/ })
    .getByRole('button', { name: 'Take this' })
    .click();
  await expect(feed).toContainText('Drawn by hand');
  await feed.getByRole('button', { name: 'Leave it to the tool' }).click();
  await expect(feed).toContainText('By the tool: shortest cable');
  await feed.getByRole('button', { name: 'Find less wire in all circuits' }).click();
  await feed.getByRole('button', { name: 'Cancel: Looking for less wire' }).click();
  const least = feed.getByRole('row', { name: /Least wire that the tool finds/ });
  await expect(least).toContainText('2 less than the best above', { timeout: 20_000 });
  await least.getByRole('button', { name: 'Take this' }).click();
  await expect(feed).toContainText('Drawn by hand');
  await page.keyboard.press('ControlOrMeta+z');
  await expect(feed).toContainText('By the tool: shortest cable');
  await page.getByRole('button', { name: 'Proof' }).click();
  const row = page.locator('article', { hasText: 'Upper floor lights and alarms' });
  await expect(row).toContainText('16 of 16 positions of 4 switches');
  const download = page.waitForEvent('download');
  await row.getByRole('button', { name: 'SPICE netlist' }).click();
  expect((await download).suggestedFilename()).toBe('Upper floor lights and alarms.cir');
});

test('the fault finder: what is seen at two three-ways leaves few mistakes, and names the next look', async ({
  owner: page,
}) => {
  await openDemo(page, 'Make-up');
  await page.getByRole('button', { name: 'Fault finder' }).click();
  const finder = page.getByRole('region', { name: 'Fault finder' });
  await pick(page, 'Group that misbehaves', 'f · Back hall light, 2 places');
  const see = async (n: number, times: number) => {
    for (let i = 0; i < times; i++) await finder.locator('.sight').nth(n).click();
  };
  await see(0, 1);
  await finder.getByRole('button', { name: 'Find the fault' }).click();
  await expect(finder).toContainText('Next look');
  const all = Number(await finder.locator('h2 .num').innerText());
  await see(1, 2);
  await see(2, 2);
  await see(3, 2);
  await finder.getByRole('button', { name: 'Find the fault' }).click();
  await expect(finder.locator('h2 .num')).not.toHaveText(String(all));
  await expect(finder).toContainText('is loose');
  await expect(finder).not.toContainText('what a sound circuit does');
});

test('a group does not lose its name to an empty field', async ({ owner: page }) => {
  await openDemo(page, 'Make-up');
  await goTo(page, 'Switching');
  await page.getByRole('button', { name: /Kitchen light/ }).click();
  await page.getByLabel('Name', { exact: true }).fill('');
  await page.getByLabel('Name', { exact: true }).press('Enter');
  await expect(page.getByRole('button', { name: /Kitchen light/ })).toBeVisible();
});

test('the bench: a switch is wired by keyboard and by dragging, flipped, measured and proved', async ({
  owner: page,
}) => {
  await page.getByRole('link', { name: 'The bench' }).click();
  const pin = (name: string) => page.getByRole('button', { name, exact: true });
  const join = async (a: string, b: string) => {
    await pin(a).focus();
    await page.keyboard.press('Enter');
    await pin(b).focus();
    await page.keyboard.press('Enter');
  };
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(page.getByText('Not yet.')).toBeVisible();
  await join('hot of feed in switch box', 'hot of lamp in lamp box');
  await expect(page.getByRole('alert')).toContainText('300.3(B)');
  await join('hot of feed in switch box', 'line of single-pole in switch box');
  await join('load of single-pole in switch box', 'black of the cable in switch box');
  await join('neutral of feed in switch box', 'white of the cable in switch box');
  await join('black of the cable in lamp box', 'hot of lamp in lamp box');
  const [a, b] = [
    (await pin('white of the cable in lamp box').locator('.screw').boundingBox())!,
    (await pin('neutral of lamp in lamp box').locator('.screw').boundingBox())!,
  ];
  await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2);
  await page.mouse.down();
  await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText('5 joints made')).toBeVisible();
  await page.getByRole('button', { name: 'switch box: down' }).click();
  await page.getByRole('button', { name: 'Meter' }).click();
  await pin('hot of lamp in lamp box').click();
  await pin('neutral of lamp in lamp box').click();
  await expect(page.getByRole('status').filter({ hasText: 'V' })).toContainText('120');
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(page.getByText('Every position does what it should')).toBeVisible();
  await page.reload();
  await expect(page.getByText('1 of 7 solved')).toBeVisible();
});

test('a board of one’s own: fan and light apart, set up from nothing, wired, proved, and there on another device', async ({
  owner: page,
  app,
  browser,
}) => {
  await page.getByRole('link', { name: 'The bench' }).click();
  await page.getByRole('button', { name: 'A board of your own' }).click();
  const setUp = page.getByRole('region', { name: 'Set up the board' });
  await setUp.getByLabel('New box').fill('ceiling');
  await setUp.getByLabel('New box').press('Enter');
  const put = async (part: string, box: string) => {
    await pick(page, 'Part', part);
    await pick(page, 'Box of the part', box);
    await setUp.getByRole('button', { name: 'Put it in' }).click();
  };
  await put('feed', 'ceiling');
  await expect(page.getByRole('alert')).toContainText('one feed on the bench');
  await put('single-pole switch', 'first box');
  await pick(page, 'Letter of the single-pole switch in first box', 'b');
  await put('single-pole switch', 'first box');
  await put('lamp', 'ceiling');
  await put('fan', 'ceiling');
  await pick(page, 'Letter of the fan in ceiling', 'b');
  await setUp.getByRole('button', { name: 'Pull it' }).click();
  const join = async (a: string, b: string) => {
    for (const pin of [a, b]) await page.locator(`[data-pin="${pin}"]`).click();
  };
  for (const [a, b] of [
    ['feed.hot', 's1.line'],
    ['feed.hot', 's2.line'],
    ['s1.load', 'c1.red.a'],
    ['s2.load', 'c1.black.a'],
    ['feed.neutral', 'c1.white.a'],
    ['c1.red.b', 'fan1.hot'],
    ['c1.black.b', 'lamp1.hot'],
    ['c1.white.b', 'lamp1.neutral'],
  ] as const)
    await join(a, b);
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(page.getByLabel('Result')).toContainText('The fan in ceiling has no neutral');
  await join('c1.white.b', 'fan1.neutral');
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(page.getByText('Every position does what it should')).toBeVisible();
  await expect(page.getByText('kept with your account')).toBeVisible();
  const elsewhere = await (await browser.newContext()).newPage();
  await signIn(elsewhere, app.url, 'owner@demo.example');
  await elsewhere.getByRole('link', { name: 'The bench' }).click();
  await elsewhere.getByRole('button', { name: 'A board of your own' }).click();
  await expect(elsewhere.getByText('9 joints made')).toBeVisible();
});

test('a group of the house on the bench: wired as on the cards, spoiled, mended, and on record for a master', async ({
  owner: page,
}) => {
  await openDemo(page, 'Switching');
  await page.getByRole('button', { name: /Dining room light/ }).click();
  await page.getByRole('link', { name: 'Wire it on the bench' }).click();
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(page.getByText('Not yet.')).toBeVisible();
  await page.getByRole('button', { name: 'As on the cards' }).click();
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(page.getByText('Every position does what it should')).toBeVisible();
  await page.getByRole('button', { name: 'Plant a mistake' }).click();
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(page.getByText('Not yet.')).toBeVisible();
  // Put right by the cards, it counts as found; what is given up, as missed.
  await page.getByRole('button', { name: 'As on the cards' }).click();
  await page.getByRole('button', { name: 'Prove it' }).click();
  await expect(page.getByText('Found and mended.')).toBeVisible();
  await page.getByRole('button', { name: 'Plant a mistake' }).click();
  await page.getByRole('button', { name: 'Show the mistake' }).click();
  await expect(page.getByRole('status').filter({ hasText: /changed places|come off/ })).toBeVisible();
  await expect(page.getByText('kept with your account')).toBeVisible();
  await pick(page, 'Groups of Studio house on the narrow lot', 'c Kitchen light');
  await expect(page.getByText(/^c Kitchen light: wire it/)).toBeVisible();
  await page.getByRole('link', { name: 'Account' }).click();
  await page.getByRole('tab', { name: 'Firm' }).click();
  await expect(page.getByText(/1 found, 1 missed/)).toBeVisible();
});
