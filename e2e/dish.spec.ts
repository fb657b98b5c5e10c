import { done } from './hand.ts';
import { expect, expectAccessible, putBottles, test } from './notebook.ts';

test('alum is recrystallised: the dish drawn and moved, washed until the readings say stop, dried to a yield', async ({
  page,
  notebook,
}) => {
  await putBottles(page, 'potassium alum 99% 500 g 5.95');
  await page.goto(`${notebook.origin}/plan?make=50+g+alum`);
  // By hand: 57.7 g of alum at 65 °C in a tenth more water than it needs, cooled to 6 °C.
  await expect(page.getByRole('button', { name: /^crude alum to take: 58\.\d/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await done(page, 'Pour on');
  await done(page, 'Warm to 65 °C');
  await done(page, 'Filter hot');
  await done(page, 'Cool slowly');
  await page.getByRole('button', { name: 'Dish', exact: true }).click();
  const crystals = page.locator('.dish .add-next');
  await expect(crystals).toContainText('KAl(SO₄)₂·12H₂O');
  const before = await crystals.textContent();
  await page.getByRole('slider', { name: 'boil away, g' }).focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight');
  await expect(crystals).not.toHaveText(before!);
  await expect(page.getByRole('img', { name: /^Solubility curve/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /slow evaporation/ })).toBeVisible();
  await expectAccessible(page);
  await done(page, 'Filter off and rinse');
  await page.getByRole('button', { name: 'Wash', exact: true }).click();
  await page.getByLabel('The cake holds').fill('20');
  await page.getByLabel('Each portion').fill('50');
  await page.getByLabel('May stay').fill('2,5');
  // (20 ÷ 70)³ = 2.33 %.
  await expect(page.getByText('3 portions leave 2.3 %')).toBeVisible();
  for (const reading of ['4000', '1000', '60']) {
    await page.getByLabel('The washings read').fill(reading);
    await page.getByRole('button', { name: 'Log it' }).click();
    await expect(page.getByLabel('The washings read')).toHaveValue('');
  }
  await page.getByLabel('Clean at').fill('100');
  await expect(page.getByRole('status').filter({ hasText: 'Stop: it is clean.' })).toBeVisible();
  await expectAccessible(page);
  await done(page, 'to constant mass');
  await expect(page.getByRole('region', { name: 'As it stands' })).toContainText('crude alum (limits)');
});
