import type { Locator, Page } from '@playwright/test';
import { expect, putBottles } from './notebook.ts';

// What a hand does at the bench, as the tests say it.

export const title = (page: Page) =>
  page.getByRole('article', { name: 'This step' }).getByRole('heading', { level: 1 });
export const log = (page: Page) => page.getByRole('region', { name: 'Log' });
export const says = (page: Page) => page.getByRole('region', { name: 'What the readings say' });

/** Reads what is grave at a step, where there is something that was not read yet. */
export async function readFirst(page: Page): Promise<void> {
  await expect(title(page)).toBeVisible();
  const unread = page.getByRole('button', { name: /I have read them/ });
  // The step that was just left may still show its own: what is tapped may be gone before the tap.
  await expect(async () => {
    if (await unread.isVisible()) await unread.click({ timeout: 2000 });
    await expect(unread).toBeHidden({ timeout: 1000 });
  }).toPass();
}

/** Takes an option of a list, and sees it taken: a list that still unfolds may lose a tap. */
export async function pick(list: Locator, option: string): Promise<void> {
  const field = list.locator('xpath=ancestor::*[contains(@class, "ant-select")][1]');
  await expect(async () => {
    if ((await field.textContent())?.includes(option)) return;
    await list.click();
    await list.page().getByTitle(option, { exact: true }).last().click({ timeout: 3000 });
    await expect(field).toContainText(option, { timeout: 2000 });
  }).toPass();
}

/** Ends the step, and sees the next one come. */
export async function done(page: Page, next: string | RegExp): Promise<void> {
  await readFirst(page);
  await page.getByRole('button', { name: 'Step done' }).click();
  await expect(title(page)).toContainText(next);
}

/** Enters what really went in; all the same, where it is far from the plan. */
export async function weigh(page: Page, value: string): Promise<void> {
  const field = page.getByLabel('Really went in');
  const asked = page.getByRole('button', { name: 'Enter it all the same' });
  await field.fill(value);
  await page.getByRole('button', { name: 'Enter it', exact: true }).click();
  // It is taken, and the field is empty; or it is asked about first.
  await expect(async () => {
    if (await asked.isVisible()) await asked.click();
    await expect(field).toHaveValue('', { timeout: 500 });
  }).toPass();
}

/** Bottles of a silica from sand. */
export async function putSandAndLye(page: Page, sand: string): Promise<void> {
  await putBottles(page, sand, 'caustic soda 98% 1 kg 6.80', 'hydrochloric acid 28% 5 L 11.50');
}

/** Sand and lye weighed, melted and leached, and the sand that is left weighed. */
export async function melt(
  page: Page,
  { sand, lye, left }: Readonly<Record<'sand' | 'lye' | 'left', string>>,
): Promise<void> {
  await done(page, 'of the dry sand');
  await weigh(page, sand);
  await done(page, 'sodium hydroxide');
  await weigh(page, lye);
  await done(page, 'Melt the lye');
  await done(page, 'Cold, cover it');
  await done(page, 'weigh the sand that is left');
  await read(page, 'solid left', left);
}

/** Logs a reading that is taken. */
export async function read(page: Page, quantity: string, value: string): Promise<void> {
  await tryReading(page, quantity, value);
  await expect(page.getByLabel('Reading', { exact: true })).toHaveValue('');
}

/** Logs a reading that may be refused. */
export async function tryReading(page: Page, quantity: string, value: string): Promise<void> {
  if (!(await page.getByLabel('What was read').isVisible()))
    await page.getByRole('button', { name: 'Log a reading' }).click();
  await choose(page, quantity);
  await page.getByLabel('Reading', { exact: true }).fill(value);
  if (['mass', 'solid left'].includes(quantity)) await page.getByText('dry', { exact: true }).click();
  await page.getByRole('button', { name: 'Log it' }).click();
}

/** Two weighings, the first said late, then the end of the run and its record. */
export async function dryAndClose(page: Page, grams: string): Promise<void> {
  await page.getByRole('button', { name: 'Weigh it' }).click();
  const field = page.getByLabel('Product weighs');
  await field.fill(grams);
  await page.getByText('earlier', { exact: true }).click();
  await page.getByLabel('how long ago').fill('5 h');
  await page.getByLabel('give or take').fill('1 h');
  await page.getByRole('button', { name: 'Enter it', exact: true }).click();
  await expect(field).toHaveValue('');
  await page.getByText('now', { exact: true }).click();
  await field.fill(grams);
  await page.getByRole('button', { name: 'Enter it', exact: true }).click();
  await expect(field).toHaveValue('');
  await expect(page.getByText(/Constant/).first()).toBeVisible();
  await done(page, 'Into a jar');
  await readFirst(page);
  await page.getByRole('button', { name: 'Step done' }).click();
  await page.getByRole('link', { name: 'See its record' }).click();
  await expect(page.getByRole('region', { name: 'Yield' })).toBeVisible();
}

/** Says what is read, in the pane of readings. */
export async function choose(page: Page, quantity: string): Promise<void> {
  const asked = page.locator('.pane').filter({ has: page.getByLabel('What was read') });
  await expect(async () => {
    if (await asked.getByTitle(quantity, { exact: true }).first().isVisible()) return;
    await page.getByLabel('What was read').click();
    await page.locator('.ant-select-item-option').getByText(quantity, { exact: true }).click({ timeout: 2000 });
    await expect(asked.getByTitle(quantity, { exact: true }).first()).toBeVisible({ timeout: 1000 });
  }).toPass();
}
