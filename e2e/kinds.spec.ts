import { readFirst, title } from './hand.ts';
import { expect, expectAccessible, open, openBottle, putBottles, test } from './notebook.ts';

test('a name that is several is asked, and a button answers it', async ({ page }) => {
  await open(page);
  const label = page.getByLabel('The label says');
  await label.fill('descaler 500 g 4.20');
  const asked = page.getByRole('group', { name: /is sold as more than one thing/ });
  await expect(asked.getByRole('button')).toHaveCount(6);
  await expectAccessible(page);
  await label.press('Enter');
  await expect(page.getByRole('heading', { name: 'An empty shelf' })).toBeVisible();
  await asked.getByRole('button', { name: /sulfamic/ }).click();
  await expect(label).toHaveValue('descaler, sulfamic crystals 500 g 4.20');
  await expect(page.getByText('price 4.20')).toBeVisible();
  await label.press('Enter');
  const sheet = page.getByRole('region', { name: /Sheet of/ });
  await expect(sheet).toContainText('What it is sold as');
  await expect(sheet).toContainText('Make sure:');
  await sheet.getByRole('link', { name: 'clash' }).click();
  await page.getByLabel('This', { exact: true }).fill('bleach');
  await page.getByLabel('And this').fill('descaler');
  await expect(page.getByText(/Never together:.*chlorine/)).toBeVisible();
  await expectAccessible(page);
});

test('a cleaner of two acids takes both into the vessel', async ({ page, notebook }) => {
  await putBottles(page, 'zinc strip 99% 200 g');
  await openBottle(page, 'tile cleaner hydrochloric acid 14% phosphoric acid 6% 1 L 3.80');
  await expect(page.getByRole('region', { name: /Sheet of/ })).toContainText('phosphoric acid');
  await page.goto(`${notebook.origin}/plan?make=${encodeURIComponent('200 mL of 1 mol/L zinc chloride')}`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await expect(title(page)).toBeVisible();
  for (let i = 0; i < 4; i++) {
    await readFirst(page);
    const before = await title(page).textContent();
    await page.getByRole('button', { name: 'Step done' }).click();
    await expect(title(page)).not.toHaveText(before ?? '');
  }
  await expect(page.getByRole('region', { name: 'As it stands' })).toContainText('phosphoric acid');
  // A sum done meanwhile goes into the log of this batch.
  await page.getByLabel('Reckoner').fill('46.1 / 92.7 in %');
  await page.getByRole('button', { name: 'keep it in this batch' }).click();
  await expect(page.getByRole('region', { name: 'Log' })).toContainText('46.1 / 92.7 in % =');
});

test('solder is all of its parts, and none with lead stands there', async ({ page }) => {
  await open(page);
  const label = page.getByLabel('The label says');
  await label.fill('Sn60Pb40 100 g');
  await expect(page.getByText(/It holds lead/)).toBeVisible();
  await label.press('Enter');
  await expect(page.getByRole('heading', { name: 'An empty shelf' })).toBeVisible();
  await openBottle(page, 'Sn97Cu3 250 g 18');
  const sheet = page.getByRole('region', { name: /Sheet of/ });
  await expect(sheet).toContainText('copper');
  await page.getByLabel('Reckoner').fill('8.4 g Sn as 97%');
  await expect(page.locator('.reckoner-answer')).toContainText('8.66');
});

test('a substance of one’s own is described once, and known from then on', async ({ page }) => {
  await open(page);
  const label = page.getByLabel('The label says');
  await label.fill('larkspur fixer 97% 200 g 3.20');
  await page.getByRole('button', { name: /describe it/ }).click();
  const dialog = page.getByRole('dialog');
  await expectAccessible(page);
  await dialog.getByLabel('Formula').fill('C4H5Qz');
  await dialog.getByRole('button', { name: 'Put on the shelf' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Qz');
  await dialog.getByLabel('Formula').fill('C6H11NO2');
  await dialog.getByLabel('Dissolves in 100 g of water').fill('62');
  await dialog.getByRole('button', { name: 'Put on the shelf' }).click();
  const sheet = page.getByRole('region', { name: /Sheet of/ });
  await expect(sheet).toContainText('Described by you');
  await expect(sheet).toContainText('62.0 g dissolve');
  // 6 C, 11 H, N, 2 O: 129.16 g/mol; 5 g are 0.0387 mol.
  await page.getByLabel('Reckoner').fill('5 g larkspur fixer in mol');
  await expect(page.locator('.reckoner-answer')).toContainText('0.0387');
  await page.getByLabel('Reckoner').press('Escape');
  await sheet.getByRole('link', { name: 'boil down' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Boil down, without a batch');
  await expect(page.getByText(/Boiled in/)).toBeVisible();
  await page.getByRole('link', { name: 'Vessel' }).click();
  await page.getByLabel('Foam on it').fill('5000000');
  await expect(page.getByText(/split it|At most/).first()).toBeVisible();
  await expectAccessible(page);
});
