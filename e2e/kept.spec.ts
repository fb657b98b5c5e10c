import type { Page } from '@playwright/test';
import { log } from './hand.ts';
import { expect, type Notebook, putBottles, test } from './notebook.ts';

test.use({ alone: true });

const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

/** A run on the bench, its page open. */
async function onBench(page: Page, notebook: Notebook): Promise<string> {
  await putBottles(page, 'hydrochloric acid 28% 5 L');
  await page.goto(`${notebook.origin}/plan?make=500+mL+of+1+mol/L+hydrochloric+acid`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await page.getByRole('button', { name: 'Note' }).waitFor();
  return page.url();
}

async function note(page: Page, text: string): Promise<void> {
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByLabel('Note', { exact: true }).fill(text);
  await page.getByRole('button', { name: 'Keep the note' }).click();
}

test('two tabs away from the server keep each other’s entries, and each is written once', async ({
  page,
  notebook,
  allowErrors,
}) => {
  const url = await onBench(page, notebook);
  const other = await page.context().newPage();
  await other.goto(url);
  await other.getByRole('button', { name: 'Note' }).waitFor();
  allowErrors.on = true;
  await notebook.stop('SIGKILL');
  await note(page, 'first, in one tab');
  await note(page, 'second, in one tab');
  await note(other, 'third, in the other');
  await expect(page.getByText('3 entries are kept')).toBeVisible({ timeout: 15_000 });
  await expect(other.getByText('3 entries are kept')).toBeVisible({ timeout: 15_000 });
  await notebook.start();
  await expect(page.getByText(/entries are kept/)).toBeHidden({ timeout: 20_000 });
  await expect(other.getByText(/entries are kept/)).toBeHidden({ timeout: 20_000 });
  await page.reload();
  for (const text of ['first, in one tab', 'second, in one tab', 'third, in the other'])
    await expect(log(page).getByText(text)).toHaveCount(1);
});

test('where the device keeps nothing it is said, and an entry that was not taken stays until it is let go', async ({
  page,
  notebook,
  allowErrors,
}) => {
  await page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', {
      value: {
        open: () => {
          throw new DOMException('no', 'SecurityError');
        },
      },
    });
    for (const name of ['getItem', 'setItem'])
      Object.defineProperty(Storage.prototype, name, {
        value: () => {
          throw new DOMException('no', 'SecurityError');
        },
      });
  });
  await onBench(page, notebook);
  allowErrors.on = true;
  await notebook.stop('SIGKILL');
  await note(page, 'only here');
  await expect(page.getByText(/only in this tab: do not close it/).first()).toBeVisible();
  await notebook.start();
  await expect(page.getByText(/only in this tab/)).toBeHidden({ timeout: 20_000 });
  await expect(log(page).getByText('only here')).toBeVisible();

  // The server refuses the next one: it stays, and goes out when it may.
  await page.route('**/api/batches/*/events', (route) =>
    route.fulfill({
      status: 422,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        type: '',
        title: '',
        status: 422,
        detail: 'That lies in the future.',
        code: 'out-of-range',
      }),
    }),
  );
  await note(page, 'from a clock that is ahead');
  const refused = page.getByText(/Not taken:.*from a clock that is ahead/);
  await expect(refused).toBeVisible();
  await page.unroute('**/api/batches/*/events');
  await page.getByRole('button', { name: 'With now as its time' }).click();
  await expect(refused).toBeHidden();
  await expect(log(page).getByText('from a clock that is ahead')).toBeVisible();
});

test('a photo taken while the server is away is seen at once, and kept when it is back', async ({
  page,
  notebook,
  allowErrors,
}) => {
  await onBench(page, notebook);
  allowErrors.on = true;
  await notebook.stop('SIGKILL');
  await page.getByRole('button', { name: 'Photo' }).click();
  const picture = { name: 'dish.png', mimeType: 'image/png', buffer: PNG };
  await page.getByLabel(/^Photo/).setInputFiles({ ...picture, buffer: PNG.subarray(0, 40) });
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText(/cannot be opened as a picture/)).toBeVisible();
  await page.getByLabel(/^Photo/).setInputFiles(picture);
  await page.getByLabel('Shows').fill('first needles');
  await page.getByRole('button', { name: 'Keep it' }).click();
  const shown = page.getByRole('img', { name: 'photo: first needles' });
  const opened = () => shown.evaluate((image: HTMLImageElement) => image.naturalWidth);
  await expect.poll(opened).toBe(1);
  await notebook.start();
  await expect(log(page).getByText('waiting to be sent')).toBeHidden({ timeout: 20_000 });
  await page.reload();
  await expect.poll(opened).toBe(1);
  await expect(log(page).getByText(/1 photo, /)).toBeVisible();
});

test('the same addition from two pages is asked about', async ({ page, notebook, allowErrors }) => {
  const url = await onBench(page, notebook);
  const other = await page.context().newPage();
  await other.goto(url);
  const pour = async (at: Page) => {
    await at.getByRole('button', { name: 'Add something else' }).click();
    await at.getByLabel('How much').fill('12');
    await at.getByRole('button', { name: 'It is in' }).click();
  };
  await other.getByRole('button', { name: 'Note' }).waitFor();
  allowErrors.on = true;
  await pour(page);
  await pour(other);
  await expect(other.getByText(/Twice\?.*entered in another page/)).toBeVisible();
  await other.getByRole('button', { name: 'The same one: once is right' }).click();
  await expect(other.getByText(/entered in another page/)).toBeHidden();
  await page.reload();
  await expect(log(page).getByText(/12 (g|mL)/)).toHaveCount(1);
});
