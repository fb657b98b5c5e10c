import { chromium } from '@playwright/test';
import { chromiumPath } from './chromium.ts';
import { expect, expectAccessible, test, typeBottle } from './notebook.ts';

test.use({ alone: true });

test('a phone is let in by the code on the first screen, enters something, and is shut out again', async ({
  page,
  notebook,
}) => {
  await page.goto('about:blank');
  await notebook.stop();
  await notebook.start({}, ['--share=bench.test']);
  await page.goto(notebook.origin);
  const dialog = page.getByRole('dialog', { name: 'A phone or tablet at the bench' });
  await expect(dialog.getByText(/^\d{3} \d{3}$/)).toBeVisible();
  await expectAccessible(page);
  const link = (await dialog.locator('[data-code]').getAttribute('data-code'))!;
  expect(link).toMatch(/^http:\/\/bench\.test:\d+\/pair#\d{6}$/);

  // Another browser that knows the machine by its name on the network.
  const browser = await chromium.launch({
    executablePath: chromiumPath(),
    chromiumSandbox: process.getuid?.() !== 0,
    args: ['--disable-gpu', '--no-first-run', '--host-resolver-rules=MAP bench.test 127.0.0.1'],
  });
  try {
    const phone = await (await browser.newContext({ viewport: { width: 390, height: 800 } })).newPage();
    // Without the code there is nothing to see.
    await phone.goto(link.replace(/\/pair.*/, '/shelf'));
    await expect(phone.getByText(/not paired with the notebook yet/)).toBeVisible();
    await phone.getByLabel('Code').fill('000000');
    await phone.getByLabel('Name of this device').fill('phone');
    await phone.getByRole('button', { name: 'Pair this device' }).click();
    await expect(phone.getByText(/not the code that stands on the screen/)).toBeVisible();
    await expectAccessible(phone);
    await phone.goto('about:blank');
    await phone.goto(link);
    await phone.getByLabel('Name of this device').fill('phone');
    await phone.getByRole('button', { name: 'Pair this device' }).click();
    await expect(phone.getByRole('heading', { name: 'An empty shelf' })).toBeVisible();
    await typeBottle(phone, 'zinc 99% 900 g 14.00', /Zinc/);

    // Who was waited for has come.
    await expect(dialog).toBeHidden();
    await page.getByRole('link', { name: /^Notebook/ }).click();
    await expect(page.getByRole('cell', { name: 'phone', exact: true })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Withdraw phone' }).click();
    await expect(page.getByRole('cell', { name: 'phone', exact: true })).toBeHidden();
    await phone.reload();
    await expect(phone.getByText(/not paired with the notebook yet/)).toBeVisible();
  } finally {
    await browser.close();
  }
  await page.getByRole('link', { name: 'Shelf' }).first().click();
  await expect(page.getByRole('link', { name: /Zinc/ })).toBeVisible();
});
