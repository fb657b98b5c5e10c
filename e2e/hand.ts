import type { Page } from '@playwright/test';
import { expect } from './notebook.ts';

// What a hand does at the bench, as the tests say it.

export const title = (page: Page) =>
  page.getByRole('article', { name: 'This step' }).getByRole('heading', { level: 1 });
export const log = (page: Page) => page.getByRole('region', { name: 'Log' });
export const says = (page: Page) => page.getByRole('region', { name: 'What the readings say' });

/** Ends the step, and sees the next one come. */
export async function done(page: Page, next: string | RegExp): Promise<void> {
  await page.getByRole('button', { name: 'Step done' }).click();
  await expect(title(page)).toContainText(next);
}

/** Enters what really went in; all the same, where it is far from the plan. */
export async function weigh(page: Page, value: string): Promise<void> {
  await page.getByLabel('Really went in').fill(value);
  await page.getByRole('button', { name: 'Enter it', exact: true }).click();
  const asked = page.getByRole('button', { name: 'Enter it all the same' });
  if (await asked.isVisible()) await asked.click();
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
  await page.getByLabel('What was read').click();
  await page.getByTitle(quantity, { exact: true }).last().click();
  await page.getByLabel('Reading', { exact: true }).fill(value);
  await page.getByRole('button', { name: 'Log it' }).click();
}

/** Two weighings, the first said late, then the end of the run and its record. */
export async function dryAndClose(page: Page, grams: string): Promise<void> {
  await page.getByRole('button', { name: 'Weigh it' }).click();
  await page.getByLabel('Product weighs').fill(grams);
  await page.getByText('earlier', { exact: true }).click();
  await page.getByLabel('how long ago').fill('5 h');
  await page.getByLabel('give or take').fill('1 h');
  await page.getByRole('button', { name: 'Enter it', exact: true }).click();
  await page.getByText('now', { exact: true }).click();
  await page.getByLabel('Product weighs').fill(grams);
  await page.getByRole('button', { name: 'Enter it', exact: true }).click();
  await expect(page.getByText(/Constant/).first()).toBeVisible();
  await done(page, 'Into a jar');
  await page.getByRole('button', { name: 'Step done' }).click();
  await page.getByRole('link', { name: 'See its record' }).click();
  await expect(page.getByRole('region', { name: 'Yield' })).toBeVisible();
}
