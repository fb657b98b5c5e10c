import { done, dryAndClose, log, melt, putSandAndLye, read, readFirst, says, title, weigh } from './hand.ts';
import { expect, expectAccessible, putBottles, test } from './notebook.ts';

test('silica from sand: the melt is a guess until the sand left is weighed, acid to pH 7, washed to neutral, dried to its water', async ({
  page,
  notebook,
}) => {
  await putSandAndLye(page, 'quartz sand 98% 5 kg 3.20');
  await page.goto(`${notebook.origin}/plan?make=37+g+silica+gel`);
  await expect(page.getByText(/of the uncertainty comes from how far the melt went/)).toBeVisible();
  await expect(page.getByText(/Molten alkali blinds/).first()).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await expect(title(page)).toContainText('Clean the sand');
  // 50 g of 98 %: 0.8156 mol; 14 g left of 50 leave 72 % of it, 0.5872 mol: 37.1 g at 5 % of water.
  await melt(page, { sand: '50', lye: '80', left: '14' });
  await expect(page.getByRole('region', { name: 'As it stands' })).toContainText(/theory\s*about 37(\.\d)?/);
  await expect(says(page)).toContainText('coffee filter or paper good');
  await done(page, 'of acid to pH 7');
  // All the lye that went in, free or as water glass: 1.96 mol of acid and 2 % over, 260 g at 28 %, less what the sand keeps.
  await expect(page.getByText(/^259|259\.\d/).first()).toBeVisible();
  await page.getByLabel('Or really went in').fill('228');
  await page.getByRole('button', { name: 'It is in', exact: true }).click();
  await expect(log(page)).toContainText('228 mL');
  await done(page, 'Let the gel age');
  await expect(says(page)).toContainText('a jelly or flocks');
  await done(page, 'Drain it on a cloth');
  await expect(says(page)).toContainText('a jelly clogs it for good');
  await done(page, 'Wash to neutral');
  await page.keyboard.press('x');
  await page.getByText('pH', { exact: true }).click();
  for (const value of ['4', '5']) {
    await page.getByLabel('The washings read').fill(value);
    await page.locator('.pane').getByRole('button', { name: 'Log it' }).click();
    await expect(page.getByLabel('The washings read')).toHaveValue('');
  }
  await expect(page.getByRole('status').filter({ hasText: 'About 2 more.' })).toBeVisible();
  await expectAccessible(page);
  await done(page, 'Dry to the wanted water');
  await dryAndClose(page, '34,4');
  // 34.4 g of the 37 that the melted sand could give with its 5 % of water.
  await expect(page.getByRole('region', { name: 'Yield' })).toContainText(/9[1-4](\.\d)?\s*± /);
});

test('ferric alum: peroxide by spoons under its ceiling, no rinse with acetone, crystals in the open, dry at room temperature only', async ({
  page,
  notebook,
}) => {
  await putBottles(
    page,
    'iron sulfate heptahydrate 92% 2 kg 7.20',
    'battery acid 37% 1 L 7.90',
    'peroxide 9% 500 mL 4.40',
    'ammonium sulfate 98% 1 kg 3.10',
  );
  await page.goto(`${notebook.origin}/plan?make=40+g+ferric+alum`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await expect(title(page)).toContainText('of iron(II) sulfate');
  await weigh(page, '36');
  await done(page, 'of water');
  await done(page, 'of acid in');
  await done(page, 'of peroxide by spoons');
  await expect(page.getByText(/Peroxide heats and froths/).first()).toBeVisible();
  // 36 g of 92 %: 0.1191 mol of iron; half of it in peroxide, 2.03 g: 22.5 g at 9 %, in portions.
  await expect(page.getByText(/22\.\d|24\.\d/).first()).toBeVisible();
  // A fifth of the dose at a time, as it is poured.
  await page.getByRole('button', { name: /^\d(\.5)? mL went in$/ }).click();
  await expect(log(page)).toContainText(/eroxide \d(\.5)? mL/);
  await page.getByRole('button', { name: 'still blue with ferricyanide' }).click();
  await expect(log(page)).toContainText('still blue with ferricyanide');
  await expectAccessible(page);
  await read(page, 'temperature', '51');
  await done(page, 'of ammonium sulfate');
  await done(page, 'Filter through paper');
  await done(page, 'Leave to evaporate');
  await page.keyboard.press('e');
  await expect(page.getByText(/^Boiled in about/)).toBeVisible();
  await done(page, 'Let the crystals grow');
  await done(page, 'Filter off and rinse');
  await done(page, 'Press dry');
  await page.keyboard.press('r');
  await expect(page.getByText('Not above 20 °C: from 30 °C: brown basic crust')).toBeVisible();
  await expect(page.getByRole('row', { name: /^solvent rinse/ })).toContainText('No acetone where peroxide was used');
  await expectAccessible(page);
});

test('saltpetre by a salt pair: salt filtered off hot, saltpetre cold', async ({ page, notebook }) => {
  await putBottles(page, 'sodium nitrate 98% 1 kg 6.00', 'potassium chloride 97% 1 kg 4.00');
  await page.goto(`${notebook.origin}/plan?make=60+g+potassium+nitrate`);
  await expect(page.getByText('NaNO₃ + KCl → KNO₃ + NaCl')).toBeVisible();
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  const next = page.getByRole('button', { name: 'Step done' });
  await expect(title(page)).toBeVisible();
  const seen: string[] = [];
  for (let i = 0; i < 12; i++) {
    const here = (await title(page).textContent()) ?? '';
    seen.push(here);
    if (/constant mass|Dry/.test(here)) break;
    await readFirst(page);
    await next.click();
    await expect(title(page)).not.toHaveText(here);
  }
  // The salt leaves while it is hot, before the cold brings the saltpetre.
  const at = (part: string) => seen.findIndex((each) => each.includes(part));
  expect(at('Filter off the salt at')).toBeGreaterThan(-1);
  expect(at('Filter off the salt at')).toBeLessThan(at('Cool to'));
  await dryAndClose(page, '55.2');
  await expect(page.getByRole('region', { name: 'Yield' })).toContainText(/\d\d(\.\d)?\s*± /);
});
