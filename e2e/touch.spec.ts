import type { Locator, Page } from '@playwright/test';
import { expect, goTo, newHouse, onScreen, openDemo, saved, test } from './harness';

test.use({ hasTouch: true, viewport: { width: 1024, height: 768 } });

interface Place {
  readonly x: number;
  readonly y: number;
}

/** One finger down, along and up, as the browser hears it from a touch screen: it may take the way for a scroll of its own. */
async function swipe(page: Page, from: Place, to: Place): Promise<void> {
  const finger = await page.context().newCDPSession(page);
  const send = async (type: 'touchStart' | 'touchMove' | 'touchEnd', touchPoints: Place[]) => {
    await finger.send('Input.dispatchTouchEvent', { type, touchPoints });
    await page.waitForTimeout(20);
  };
  await send('touchStart', [from]);
  for (let share = 0.125; share <= 1; share += 0.125)
    await send('touchMove', [{ x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) }]);
  // It rests before it is lifted: a flung finger has the browser take the next tap for a stop.
  await page.waitForTimeout(250);
  await send('touchMove', [to]);
  await send('touchEnd', []);
  await finger.detach();
}
const swipePlan = async (page: Page, from: readonly [number, number], to: readonly [number, number]) =>
  swipe(page, await onScreen(page, ...from), await onScreen(page, ...to));
async function tapPlan(page: Page, x: number, y: number): Promise<void> {
  const at = await onScreen(page, x, y);
  await page.touchscreen.tap(at.x, at.y);
}
const boxes = (page: Page, name: RegExp) =>
  page.locator('g.box[data-hit="box"]').filter({ has: page.getByLabel(name) });
const tool = (page: Page, palette: string, kind: string) =>
  page.getByRole('toolbar', { name: palette }).getByRole('button', { name: kind, exact: true }).tap();
const middleOf = async (what: Locator): Promise<Place> => {
  const at = (await what.boundingBox())!;
  return { x: at.x + at.width / 2, y: at.y + at.height / 2 };
};

test('a room is drawn, opened, boxed, switched and put on circuits by fingers alone', async ({ owner: page }) => {
  const press = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' }).tap();
  await newHouse(page, 'By hand alone');
  await press('Draw room');
  await tool(page, 'Usual rooms', 'bedroom');
  await swipePlan(page, [48, 48], [216, 192]);
  await expect(page.getByText('1 room,')).toBeVisible();
  await tool(page, 'Usual rooms', 'garage');
  await swipePlan(page, [220, 48], [460, 288]);
  await expect(page.getByRole('button', { name: /^Garage/ })).toBeVisible();
  await press('Put in');
  await tapPlan(page, 130, 192);
  await tapPlan(page, 300, 288);
  await tool(page, 'Openings', 'Window');
  await tapPlan(page, 130, 48);
  await press('Set down');
  await tool(page, 'Usual fixtures', 'panel');
  await tapPlan(page, 460, 160);
  await goTo(page, 'Boxes');
  await press('Lay out boxes');
  await page.getByRole('menuitem', { name: 'The whole house' }).tap();
  await press('Accept all');
  await expect(page.locator('g.box[data-hit]').first()).toBeVisible();
  // A light more, in a corner of the bedroom, that its switch is to govern too.
  const had = await page.locator('g.box[data-hit]').count();
  await press('L light');
  await tapPlan(page, 84, 160);
  await expect(page.locator('g.box[data-hit]')).toHaveCount(had + 1);
  await press('Select');
  await goTo(page, 'Switching');
  const places = page.locator('svg.sheet').getByText('a', { exact: true });
  await expect(places).toHaveCount(2);
  await swipe(page, await middleOf(boxes(page, /switch/).first()), await onScreen(page, 84, 160));
  await expect(places).toHaveCount(3);
  await goTo(page, 'Circuits');
  await press('Plan the circuits');
  await page.getByRole('region', { name: 'Proposed circuits' }).getByRole('button', { name: 'Accept' }).tap();
  await saved(page);
  await page.getByRole('tab', { name: /Open items/ }).tap();
  expect(await page.locator('.fail.violation').allTextContents()).toEqual([]);
});

test('a finger carries a box along the strip, a box to a circuit, a switch to a light, and ticks what is done', async ({
  owner: page,
}) => {
  await openDemo(page);
  await page.getByRole('tab', { name: /Open items/ }).tap();
  await page.getByRole('button', { name: /Bedroom 2 cannot be reached/ }).tap();
  const box = page.getByRole('region', { name: 'Wall strip' }).getByRole('button', { name: /^B2-2/ });
  const before = (await box.getAttribute('aria-label'))!;
  const at = await middleOf(box);
  await swipe(page, at, { x: at.x + 60, y: at.y - 20 });
  await expect(box).not.toHaveAttribute('aria-label', before);
  await page.getByRole('button', { name: 'Undo' }).tap();
  await expect(box).toHaveAttribute('aria-label', before);

  await goTo(page, 'Circuits');
  const living = page.locator('[data-circuit="q17"]');
  await living.scrollIntoViewIfNeeded();
  await living.getByRole('button').first().tap();
  const outlet = page.locator('g.box[data-hit="box"]').filter({ has: page.locator('[aria-label^="LA-"]') });
  // To the head of the card: its outlets are put away as soon as something else is picked up.
  await swipe(page, await middleOf(outlet.first()), await middleOf(living.getByRole('button').first()));
  await expect(living).toContainText('9 outlets');

  await goTo(page, 'Trim & test');
  const step = page.getByRole('article').filter({ has: page.getByRole('button', { name: /^Right:/ }) });
  await step
    .first()
    .getByRole('button', { name: /^Right:/ })
    .tap();
  await expect(step.first()).toContainText('right, Demo owner');
});

test('on a tablet held upright, fingers alone go round panel, service, walk, routes, sheets, inspection and phases', async ({
  owner: page,
}) => {
  await page.setViewportSize({ width: 768, height: 1024 });
  const press = (name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' }).tap();
  await openDemo(page);

  await goTo(page, 'Panel');
  await press('Space of Laundry');
  await page.getByRole('menuitem', { name: '40', exact: true }).tap();
  await expect(page.getByRole('button', { name: 'Space of Laundry' })).toHaveText('40');
  await press('Undo');

  await goTo(page, 'Service');
  await press('EV charger, 48 A');
  await expect(page.getByText('Asked, not drawn: EV charger, 48 A.')).toBeVisible();
  await page
    .getByRole('group', { name: 'One-line diagram' })
    .getByRole('button', { name: /^utility: / })
    .first()
    .tap();
  await page.locator('.v-field', { has: page.getByRole('combobox', { name: 'Surge protection' }) }).tap();
  await page.getByRole('option', { name: 'planned or there' }).tap();
  await saved(page);

  await goTo(page, 'Walk');
  await press('DR-1: to do');
  await press('DR-1: marked');
  await expect(page.getByRole('button', { name: 'DR-1: nailed' })).toBeVisible();

  await goTo(page, 'Routes');
  await press('Find routes');
  await press('Keep these routes');
  await saved(page);
  await press('Pull');
  await press(/^Main panel 2 to .*: open$/);
  await page.getByRole('menuitemcheckbox', { name: 'bored' }).tap();
  await page.getByRole('menuitemcheckbox', { name: 'pulled' }).tap();
  await page.touchscreen.tap(20, 900);
  await expect(page.getByRole('button', { name: /^Main panel 2 to .*: pulled$/ })).toBeVisible();

  await goTo(page, 'Inspection');
  await press('Final');
  await press('Visits');
  await press('Not seen: Polarity and ground at every receptacle');
  await expect(page.getByRole('button', { name: /Polarity and ground at every receptacle/ }).first()).toBeVisible();

  await goTo(page, 'Phases');
  await expect(page.getByRole('heading', { level: 1 }).or(page.getByRole('table')).first()).toBeVisible();

  // What a glove has to hit on these screens is at least 44 px high.
  for (const stage of ['Walk', 'Trim & test'] as const) {
    await goTo(page, stage);
    const low = await page
      .getByRole('main')
      .getByRole('button')
      .evaluateAll((all) =>
        all
          .filter((one) => one.checkVisibility() && one.closest('svg') === null)
          .map(
            (one) =>
              [
                one.getAttribute('aria-label') ?? one.textContent,
                Math.round(one.getBoundingClientRect().height),
              ] as const,
          )
          .filter(([, height]) => height < 44),
      );
    expect(low, stage).toEqual([]);
  }
});

test('two fingers zoom and draw nothing; what the first had begun is left', async ({ owner: page, faults }) => {
  await newHouse(page, 'Pinched');
  await page.getByRole('button', { name: 'Draw room' }).tap();
  const sheet = (await page.locator('svg.sheet').boundingBox())!;
  const [x, y] = [sheet.x + 200, sheet.y + 200];
  const fingers = await page.context().newCDPSession(page);
  const send = async (type: 'touchStart' | 'touchMove' | 'touchEnd', touchPoints: (Place & { id: number })[]) => {
    await fingers.send('Input.dispatchTouchEvent', { type, touchPoints });
    await page.waitForTimeout(30);
  };
  const scaleOf = () =>
    page
      .locator('svg.sheet > g')
      .first()
      .evaluate((one: SVGGElement) => one.getScreenCTM()!.a);
  const before = await scaleOf();
  await send('touchStart', [{ x, y, id: 1 }]);
  await send('touchMove', [{ x: x + 60, y: y + 60, id: 1 }]);
  await send('touchStart', [
    { x: x + 60, y: y + 60, id: 1 },
    { x: x + 160, y: y + 60, id: 2 },
  ]);
  for (let wider = 10; wider <= 60; wider += 10)
    await send('touchMove', [
      { x: x + 60 - wider, y: y + 60, id: 1 },
      { x: x + 160 + wider, y: y + 60, id: 2 },
    ]);
  await send('touchEnd', []);
  expect(await scaleOf()).toBeGreaterThan(1.5 * before);
  await expect(page.getByText('0 rooms,')).toBeVisible();
  // The browser tells the camera that a pinch which began with one finger can no longer be kept from it; nothing here would scroll.
  faults.splice(0, faults.length, ...faults.filter((one) => !one.includes('cancelable=false')));
});
