import { readFileSync } from 'node:fs';
import { expect, expectAccessible, Notebook, open, putBottles, test } from './notebook.ts';

test.use({ alone: true });

test('a backup is taken away, looked at and put back; an export says what it would add', async ({
  page,
  allowErrors,
}) => {
  await putBottles(page, 'zinc 99% 900 g 14.00');
  await open(page);
  await page.getByRole('link', { name: /^Notebook/ }).click();
  await expect(page.getByText(/1 bottle, 0 batches/)).toBeVisible();
  const download = async (name: string) => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name, exact: true }).click(),
    ]);
    return file.path();
  };
  const backup = await download('Take a backup away');
  const archive = await download('Whole notebook');
  expect(readFileSync(await download('Bottles'), 'utf8')).toContain('zinc');
  await expectAccessible(page);

  await page.getByRole('link', { name: 'Shelf' }).first().click();
  await putBottles(page, 'citric acid 99% 500 g 4.00');
  await page.getByRole('link', { name: /^Notebook/ }).click();

  // The browser tells of every refusal too.
  allowErrors.on = true;
  // A file that is none is said to be none, and nothing happens.
  const restore = page.getByLabel('Put a backup back …', { exact: true }).and(page.locator('input'));
  await restore.setInputFiles({ name: 'holiday.zip', mimeType: 'application/zip', buffer: Buffer.from('sea') });
  await expect(page.getByText(/This is no archive that can be opened/)).toBeVisible();
  const bring = page.getByLabel('Bring an export in …', { exact: true }).and(page.locator('input'));
  await bring.setInputFiles({ name: 'b.zip', mimeType: 'application/zip', buffer: readFileSync(backup) });
  await expect(page.getByText(/This is no export of Earnest Still/)).toBeVisible();

  allowErrors.on = false;
  await bring.setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: readFileSync(archive) });
  await expect(page.getByText(/All that is in it is here already/)).toBeVisible();
  await restore.setInputFiles({ name: 'b.zip', mimeType: 'application/zip', buffer: readFileSync(backup) });
  const bottles = page.getByRole('row', { name: /^bottles/ });
  await expect(bottles).toHaveText('bottles12');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Put it in the place of what is here' }).click();
  await expect(page.getByRole('heading', { name: 'As bought' })).toBeVisible();
  await expect(page.getByRole('link', { name: /Zinc/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Citric/ })).toHaveCount(0);

  // Another notebook takes what it holds.
  const other = new Notebook();
  await other.start();
  await page.goto(`${other.origin}/notebook`);
  await bring.setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: readFileSync(archive) });
  await expect(page.getByText(/It adds 1 bottle\b/)).toBeVisible();
  await page.getByRole('button', { name: 'Bring it in' }).click();
  await expect(page.getByText(/^Added: 1 bottle/)).toBeVisible();
  await expect(page.getByText(/1 bottle, 0 batches/)).toBeVisible();
  await page.goto('about:blank');
  await other.stop();
  other.dispose();
});
