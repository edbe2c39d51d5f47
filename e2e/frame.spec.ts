import type { Page } from '@playwright/test';
import { expect, goTo, menu, openDemo, test } from './harness';

const widthOf = async (page: Page, name: RegExp | string) => {
  const box = await page.getByRole('complementary', { name }).boundingBox();
  return box?.width ?? 0;
};

test('the side region is dragged, folded and remembered, and the plan keeps 55 % of a desk', async ({
  owner: page,
}) => {
  await openDemo(page, 'Circuits');
  const edge = page.getByRole('separator', { name: 'Edge between sheet and side region' });
  await expect(page.getByRole('region', { name: 'Circuits' })).toBeVisible();
  const before = await widthOf(page, /What is selected/);
  const at = (await edge.boundingBox())!;
  await page.mouse.move(at.x + 4, at.y + 300);
  await page.mouse.down();
  await page.mouse.move(at.x - 600, at.y + 300, { steps: 5 });
  await page.mouse.up();
  const widest = await widthOf(page, /What is selected/);
  expect(widest).toBeGreaterThan(before);
  expect((await page.locator('.stage').boundingBox())!.width).toBeGreaterThanOrEqual(0.55 * 1280);
  await edge.focus();
  await page.keyboard.press('ArrowRight');
  expect(await widthOf(page, /What is selected/)).toBe(widest - 24);
  await page.getByRole('button', { name: 'Fold the side region' }).click();
  expect(await widthOf(page, /What is selected/)).toBe(40);
  await page.reload();
  await page.getByRole('button', { name: 'Unfold the side region' }).click();
  await expect(page.getByRole('region', { name: 'Circuits' })).toBeVisible();
  expect(await widthOf(page, /What is selected/)).toBe(widest - 24);
});

test('on a phone one thing is seen at a time, nothing is wider than the screen, and every stage is in reach', async ({
  owner: page,
}) => {
  await openDemo(page, 'Boxes');
  await page.setViewportSize({ width: 390, height: 844 });
  const bar = page.getByRole('navigation', { name: 'What is shown' });
  const plan = page.locator('.only-as-sheet');
  await expect(plan).toBeVisible();
  await expect(page.getByRole('complementary', { name: /What is selected/ })).toBeHidden();
  await bar.getByRole('button', { name: 'Wall strip' }).click();
  await expect(plan).toBeHidden();
  await page.getByRole('button', { name: /^ST-2,/ }).click();
  await bar.getByRole('button', { name: /Panel/ }).click();
  await expect(page.getByRole('heading', { name: /ST-2/ })).toBeVisible();
  await page.getByRole('tab', { name: /Open items/ }).click();
  await page
    .getByRole('button', { name: /cannot be reached by a six-foot cord/ })
    .first()
    .click();
  await expect(plan).toBeVisible();
  for (const stage of ['House', 'Switching', 'Walk', 'Circuits', 'Panel', 'Service', 'Load profile', 'Make-up']) {
    await menu(page, /^Stage: /, stage);
    await expect(bar.getByRole('button', { name: `Stage: ${stage}` })).toBeVisible();
    await page.waitForTimeout(300);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), stage).toBeLessThanOrEqual(390);
    for (const one of await bar.getByRole('button').all())
      expect((await one.boundingBox())!.height, stage).toBeGreaterThanOrEqual(44);
  }
  await menu(page, /^Stage: /, 'Circuits');
  await bar.getByRole('button', { name: /Panel/ }).click();
  await expect(page.getByRole('region', { name: 'Circuits' })).toBeVisible();
  await menu(page, /^More: /, 'NEC 2020');
  await bar.getByRole('button', { name: 'Sheet' }).click();
  await menu(page, /^More: /, 'Plan sheet');
  await expect(page).toHaveURL(/\/plan$/);
});

test('on a tablet the side region comes from below at three heights', async ({ owner: page }) => {
  await openDemo(page, 'Circuits');
  await page.setViewportSize({ width: 768, height: 1024 });
  const region = page.getByRole('complementary', { name: /What is selected/ });
  const edge = page.getByRole('separator', { name: 'Upper edge of the side region' });
  const heightAfter = async (by: number) => {
    const at = (await edge.boundingBox())!;
    await page.mouse.move(at.x + at.width / 2, at.y + 7);
    await page.mouse.down();
    await page.mouse.move(at.x + at.width / 2, at.y + 7 + by, { steps: 4 });
    await page.mouse.up();
    return (await region.boundingBox())!.height;
  };
  // The frame answers to the size a moment after the window has it.
  await expect(edge).toHaveAttribute('aria-orientation', 'horizontal');
  const half = (await region.boundingBox())!.height;
  const high = await heightAfter(-400);
  expect(high).toBeGreaterThan(half + 200);
  expect(await heightAfter(900)).toBeLessThan(90);
  await page.getByRole('tab', { name: /Open items/ }).click();
  expect((await region.boundingBox())!.height).toBe(half);
});

test('words and symbols never cover each other on the plan, at three zooms of two stages', async ({ owner: page }) => {
  await openDemo(page);
  for (const stage of ['Boxes', 'Circuits'] as const) {
    await goTo(page, stage);
    const plan = (await page.locator('svg.sheet').boundingBox())!;
    for (let zoom = 0; zoom < 3; zoom++) {
      const seen = await page.evaluate(() => {
        const isShown = ({ width }: DOMRect) => width > 0;
        const words = [...document.querySelectorAll('svg.sheet .room-name tspan, svg.sheet .thing, svg.sheet .mark')]
          .map((one) => ({ of: one.textContent ?? '', at: one.getBoundingClientRect() }))
          .filter(({ at }) => isShown(at));
        const symbols = [...document.querySelectorAll('svg.sheet .symbol')].map((one) => {
          const parts = [...one.querySelectorAll('path:not(.leader), circle, rect')].map((part) =>
            part.getBoundingClientRect(),
          );
          const shown = parts.filter(isShown);
          return {
            of: one.getAttribute('aria-label') ?? '',
            at: {
              left: Math.min(...shown.map((part) => part.left)),
              right: Math.max(...shown.map((part) => part.right)),
              top: Math.min(...shown.map((part) => part.top)),
              bottom: Math.max(...shown.map((part) => part.bottom)),
            },
          };
        });
        type Place = { left: number; right: number; top: number; bottom: number };
        const meet = (a: Place, b: Place) =>
          Math.min(a.right, b.right) - Math.max(a.left, b.left) > 1 &&
          Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top) > 1;
        const covered = words.flatMap((one, i) =>
          [...words.slice(i + 1), ...symbols]
            .filter(({ at }) => meet(one.at, at))
            .map(({ of }) => `${one.of} on ${of}`),
        );
        return { covered, words: words.length, symbols: symbols.length };
      });
      expect(seen.covered).toEqual([]);
      expect(seen.words).toBeGreaterThan(5);
      expect(seen.symbols).toBeGreaterThan(30);
      await page.mouse.move(plan.x + plan.width / 2, plan.y + plan.height / 2);
      await page.mouse.wheel(0, -300);
      await page.waitForTimeout(400);
    }
  }
});
