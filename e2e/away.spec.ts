import { cpSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, expectAccessible, open, putBottles, test, typeBottle } from './notebook.ts';

test.use({ alone: true });

test.describe('with its files kept by the browser', () => {
  test.use({ serviceWorkers: 'allow' });

  test('the page stands while the server is stopped, says so, and comes back by itself', async ({
    page,
    notebook,
    allowErrors,
  }) => {
    await putBottles(page, 'zinc 99% 900 g 14.00');
    await open(page);
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready;
    });
    allowErrors.on = true;
    await notebook.stop();
    await page.goto(`${notebook.origin}/record`);
    await expect(page.getByText('The server does not answer.')).toBeVisible();
    await expect(page.getByText(/Is it still running\?/)).toBeVisible();
    await page.getByRole('link', { name: 'Shelf' }).first().click();
    await expect(page.getByRole('heading', { name: 'Shelf' })).toBeAttached();
    await expectAccessible(page);
    await notebook.start();
    await expect(page.getByRole('link', { name: /Zinc/ })).toBeVisible();
    await expect(page.getByText('The server does not answer.')).toBeHidden();

    // After an upgrade the page is the new one at once, whatever was kept of the old.
    await notebook.stop();
    const web = mkdtempSync(join(tmpdir(), 'still-web-'));
    cpSync('dist/web', web, { recursive: true });
    const index = readFileSync(join(web, 'index.html'), 'utf8');
    writeFileSync(join(web, 'index.html'), index.replace(/<title>[^<]*/, '<title>the next one'));
    for (const packed of ['index.html.gz', 'index.html.br']) writeFileSync(join(web, packed), '');
    await notebook.start({ EARNEST_WEB: web });
    await page.goto(`${notebook.origin}/shelf`);
    await expect(page).toHaveTitle('the next one');
  });
});

test('a server that hangs is told, what stands stays with its time, and all goes on when it answers', async ({
  page,
  notebook,
  allowErrors,
}) => {
  await open(page);
  await typeBottle(page, 'zinc 99% 900 g 14.00', /Zinc/);
  await expect(page.getByText(/^as of \d\d:\d\d$/)).toBeVisible();
  allowErrors.on = true;
  notebook.hang(true);
  // No answer comes, and that is said before one wonders.
  await page.getByLabel('The label says').fill('citric acid 99% 500 g 4.00');
  await page.getByRole('button', { name: 'correct …' }).waitFor();
  await page.getByLabel('The label says').press('Enter');
  await expect(page.getByText('The server does not answer.')).toBeVisible();
  await expect(page.getByRole('link', { name: /Zinc/ })).toBeVisible();
  await expect(page.getByLabel('The label says')).toHaveValue(/citric/);
  notebook.hang(false);
  await expect(page.getByText('The server does not answer.')).toBeHidden();
  // Whether the first was taken after all or not: it stands there once.
  await page.getByLabel('The label says').press('Enter');
  await expect(page.getByLabel('The label says')).toHaveValue('');
  await expect(page.getByRole('link', { name: /Citric/ })).toHaveCount(1);
});
