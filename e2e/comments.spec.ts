import { expect, goTo, menu, openDemo, saved, signIn, test } from './harness';

test('somebody is named in a comment on a room, told of it in the open house, answers from the notice, and it is settled', async ({
  app,
  owner,
  browser,
}) => {
  const crew = await (await browser.newContext()).newPage();
  await signIn(crew, app.url, 'crew@demo.example');
  await openDemo(crew, 'Panel');
  await openDemo(owner, 'House');

  // By keyboard alone once the room is selected.
  await owner.getByRole('button', { name: /^Dining room/ }).click();
  await owner.getByRole('tab', { name: /Comments/ }).click();
  await expect(owner.getByText('About Dining room')).toBeVisible();
  const line = owner.getByLabel('Say something about it');
  await line.fill('No outlet under the window?');
  await menu(owner, 'Name somebody', 'Demo crew member');
  await line.press('Control+Enter');
  await expect(owner.getByLabel('Comment of Demo owner')).toContainText('under the window? @Demo crew member');
  await saved(owner);

  const bell = crew.getByRole('button', { name: 'Notices: 1 not read' });
  await bell.click();
  await crew.getByRole('button', { name: /Demo owner names you/ }).click();
  const thread = crew.getByLabel('Comment of Demo owner');
  await expect(thread).toContainText('No outlet under the window?');
  await expect(crew.getByRole('button', { name: 'Notices', exact: true })).toBeVisible();
  await thread.getByRole('button', { name: 'Answer' }).click();
  await crew.getByLabel('Your answer').fill('The radiator goes there.');
  await crew.getByRole('button', { name: 'Answer', exact: true }).first().click();
  await thread.getByRole('button', { name: 'Dining room' }).click();
  await expect(crew.getByRole('tab', { name: /Comments/ })).toHaveAttribute('aria-selected', 'true');
  await expect(crew.getByText('About Dining room')).toBeVisible();

  // Whoever has the thread before their eyes has read its answer.
  await expect(owner.getByLabel('Comment of Demo owner')).toContainText('The radiator goes there.');
  await expect(owner.getByRole('button', { name: 'Notices', exact: true })).toBeVisible();
  await owner.getByRole('button', { name: 'Settle' }).click();
  await expect(owner.getByText('Settled by Demo owner')).toBeVisible();
  await goTo(owner, 'Phases');
  await owner.getByRole('button', { name: 'Activity' }).click();
  await expect(owner.getByText('Settle a comment').first()).toBeVisible();
  await crew.context().close();
});
