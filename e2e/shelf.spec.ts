import { expect, expectAccessible, open, openBottle, putBottles, test } from './notebook.ts';

test('a bottle is put by its label, drawn, computed, edited, used and undone', async ({ page }) => {
  await open(page);
  await expect(page.getByRole('heading', { name: 'An empty shelf' })).toBeVisible();
  await expectAccessible(page);
  const label = page.getByLabel('The label says');
  await label.fill('hydrochloric acid 28% 5 L 11.50');
  await expect(page.getByText('28 % by mass')).toBeVisible();
  await expect(page.getByText('price 11.50')).toBeVisible();
  await label.press('Enter');
  const bottle = page.getByRole('link', { name: /Hydrochloric acid/ });
  await expect(bottle).toBeVisible();

  const sheet = page.getByRole('region', { name: 'Sheet of Hydrochloric acid' });
  await expect(sheet.getByText('8.7', { exact: true })).toBeVisible();
  await sheet.getByRole('button', { name: /^amount: 8\.7 mol\/L/ }).click();
  const working = page.getByRole('region', { name: /Working of amount/ });
  await expect(working).toContainText('c = 10 × ρ × w ÷ M');
  await expect(working).toContainText('grade A');
  await expectAccessible(page);

  await sheet.getByRole('button', { name: 'Take some' }).click();
  await sheet.getByLabel('Taken out').fill('-3');
  await expect(sheet.getByRole('alert')).toContainText('At least');
  await sheet.getByLabel('Taken out').fill('569,6');
  await sheet.getByRole('button', { name: 'Book it' }).click();
  await expect(bottle).toContainText('4.5 L left');
  await sheet.getByRole('button', { name: 'Undo last' }).click();
  await expect(bottle).toContainText('5.0 L left');

  await sheet.getByRole('button', { name: 'Edit' }).click();
  const dialog = page.getByRole('dialog');
  await expectAccessible(page);
  await dialog.getByLabel('Name').fill('Brick acid');
  await dialog.getByLabel('Strength', { exact: true }).fill('27,5');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('link', { name: /Brick acid/ })).toContainText('Brick acid');
  await expect(page.getByRole('region', { name: 'Sheet of Brick acid' })).toContainText('27.5');

  await page.getByRole('button', { name: 'Archive' }).click();
  await expect(page.getByRole('link', { name: /Brick acid/ })).toBeHidden();
  await page.getByRole('button', { name: 'Back on the shelf' }).click();
  await expect(page.getByRole('link', { name: /Brick acid/ })).toBeVisible();
});

test('labels that cannot be are explained, not guessed', async ({ page }) => {
  await open(page);
  const label = page.getByLabel('The label says');
  for (const [text, said] of [
    ['hydrocloric acid 28% 1 L', 'Did you mean “hydrochloric acid”'],
    ['HCl 140% 1 L', 'Nothing is more than 100 %'],
    ['hydrochloric acid 1 L', 'How strong is it?'],
    ['sulfuric acid 1,500 M 1 L', '1500 or 1.500'],
  ] as const) {
    await label.fill(text);
    await expect(page.getByText(said)).toBeVisible();
    await label.press('Enter');
    await expect(page.getByRole('heading', { name: 'An empty shelf' })).toBeVisible();
  }
});

test('the shelf stands as a table too, and by keyboard alone', async ({ page }) => {
  await putBottles(page, 'washing soda crystals 1kg', 'vinegar 8% 5 L');
  await open(page);
  await page.getByRole('button', { name: 'table' }).click();
  await expect(page.getByRole('row', { name: /Vinegar/ })).toContainText('5.0 L');
  await expectAccessible(page);
  await page.getByRole('heading', { name: 'All' }).click();
  await page.keyboard.press('2');
  await expect(page.getByLabel('Make', { exact: true })).toBeVisible();
  await page.keyboard.press('5');
  await expect(page.getByRole('heading', { name: 'Record' })).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('Shelf, Plan, Bench');
});

test('an edit on a stale bottle is refused and said', async ({ page, notebook, allowErrors }) => {
  const id = await openBottle(page, 'washing soda crystals 1kg');
  await page.getByRole('button', { name: 'Edit' }).click();
  await notebook.post(`/bottles/${id}/events`, {
    id: 'ev_elsewhere',
    happenedAt: new Date().toISOString(),
    body: { kind: 'used', grams: 10, forBatch: null, why: '' },
  });
  allowErrors.on = true;
  await page.getByRole('dialog').getByLabel('Note').fill('mine');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('dialog')).toContainText('changed elsewhere');
});
