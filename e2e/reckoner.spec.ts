import { expect, expectAccessible, open, test } from './notebook.ts';

test('the Reckoner answers as one types, with working, and points at what it stumbles over', async ({
  page,
  notebook,
}) => {
  await open(page);
  await page.getByLabel('The label says').waitFor();
  await page.getByRole('link', { name: 'Earnest Still, to the shelf' }).focus();
  await page.keyboard.press('/');
  const field = page.getByLabel('Reckoner');
  await expect(field).toBeFocused();
  await field.fill('28% HCl in mol/L');
  await page.getByRole('button', { name: /^amount: 8\.749 mol\/L, open/ }).click();
  await expect(page.getByRole('region', { name: 'Working of amount' })).toContainText('10 × 1.1392 × 28 ÷ 36.458');
  await expectAccessible(page);
  await field.press('Enter');

  await field.fill('balance KMnO4 + H2O2 + H2SO4 -> MnSO4 + K2SO4 + O2 + H2O');
  await expect(page.getByText('2 KMnO4 + 5 H2O2 + 3 H2SO4 → 2 MnSO4 + K2SO4 + 5 O2 + 8 H2O')).toBeVisible();

  await field.fill('28% hydrocloric acid in mol/L');
  await expect(page.locator('mark')).toHaveText('hydrocloric acid');
  await expect(page.getByText('Did you mean “hydrochloric acid”?')).toBeVisible();
  await expectAccessible(page);

  // The same over HTTP, and what was computed is offered again after a reload.
  const answer = await fetch(`${notebook.origin}/api/compute/reckon`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: '{"text":"28% HCl in mol/L"}',
  });
  expect((await answer.json()).answers[0].value).toBeCloseTo(8.749, 2);
  await page.reload();
  await expect(page.locator('datalist option').first()).toHaveAttribute('value', '28% HCl in mol/L');
});
