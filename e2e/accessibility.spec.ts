import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, goTo, openDemo, test } from './harness';

async function expectAccessible(page: Page, what: string): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa']).analyze();
  expect(
    violations.map((one) => `${what}: ${one.id} ${one.nodes[0]?.target.join(' ')} ${one.nodes[0]?.failureSummary}`),
  ).toEqual([]);
}

for (const theme of ['light', 'dark'] as const) {
  test(`every stop is accessible, ${theme}`, async ({ owner: page }) => {
    test.setTimeout(300_000);
    await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
    await page.reload();
    await expectAccessible(page, 'houses');
    await openDemo(page);
    for (const stop of ['House', 'Boxes', 'Switching', 'Walk', 'Circuits', 'Panel', 'Day', 'Make-up'] as const) {
      await goTo(page, stop);
      await page.waitForTimeout(350);
      await expectAccessible(page, stop);
    }
    await goTo(page, 'Boxes');
    await page.getByText('Box it').click();
    await page
      .getByRole('group', { name: /Do it for me/ })
      .getByRole('button', { name: 'house' })
      .click();
    await page.getByRole('button', { name: 'Refuse the proposal' }).waitFor();
    await expectAccessible(page, 'a proposal');
    await page.getByRole('button', { name: 'Refuse the proposal' }).click();
    await page.getByRole('button', { name: 'Ceiling' }).click();
    await expectAccessible(page, 'the ceiling grid');
    await page.getByRole('button', { name: 'Close the ceiling grid' }).click();
    await goTo(page, 'Circuits');
    await page.getByRole('button', { name: 'Plan the circuits' }).click();
    await page.getByRole('region', { name: 'Proposed circuits' }).waitFor();
    await expectAccessible(page, 'a circuit plan');
    await page.getByRole('button', { name: 'Refuse' }).click();
    await page.getByRole('button', { name: /Kiln/ }).click();
    await page.getByText('How its cable lies').click();
    await page.getByLabel('Which breaker is this on?').fill('K-5');
    await page.getByLabel('Which breaker is this on?').press('Enter');
    for (const tab of ['Ask', 'Trips', 'Editions']) {
      await page.getByRole('tab', { name: tab }).click();
      await expectAccessible(page, tab);
    }
    await goTo(page, 'Switching');
    await page.getByRole('button', { name: /Kitchen light/ }).click();
    await expectAccessible(page, 'a group');
    await page.getByRole('tab', { name: 'Night walk' }).click();
    await page.getByText('walks in the dark').waitFor();
    await expectAccessible(page, 'the night walk');
    await goTo(page, 'Make-up');
    for (const part of ['Labels', 'Feed order', 'Proof', 'Fault finder']) {
      await page.getByRole('button', { name: part }).click();
      await expectAccessible(page, part);
    }
    await goTo(page, 'Walk');
    await page.getByRole('button', { name: 'Sign-off' }).click();
    await expectAccessible(page, 'sign-off');
    await page.getByRole('tab', { name: /Docket/ }).click();
    await expectAccessible(page, 'docket');
    await page.getByRole('button', { name: 'Job' }).click();
    await expectAccessible(page, 'job');
    await page.goto(new URL('/bench', page.url()).href);
    await page.getByText('The bench').waitFor();
    await expectAccessible(page, 'the bench');
    await page.getByRole('button', { name: 'A board of your own' }).click();
    await page.getByRole('region', { name: 'Set up the board' }).waitFor();
    await expectAccessible(page, 'a board of one\u2019s own');
  });
}
