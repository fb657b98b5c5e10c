import { done, log, read, says, title, tryReading, weigh } from './hand.ts';
import { expect, expectAccessible, putBottles, test } from './notebook.ts';

test('alum left to evaporate, a part used further wet, the rest redissolved, dried under its ceiling, two attempts side by side', async ({
  page,
  notebook,
}) => {
  await putBottles(page, 'potassium alum 97% 1 kg 8.20');
  await page.goto(`${notebook.origin}/plan?make=70+g+alum`);
  await page.getByRole('slider', { name: /^leave to evaporate to/ }).focus();
  await page.keyboard.press('PageDown');
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowLeft');
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await expect(title(page)).toContainText('Weigh');
  await weigh(page, '80,5');
  await expect(log(page)).toContainText('80.5 g');
  await done(page, 'Pour on');
  // 80.5 g wants more than 60 mL: it is said before it is warmed.
  await weigh(page, '60');
  await done(page, 'Warm to');
  await expect(says(page)).toContainText('g of water short');
  await page.getByRole('button', { name: 'Add something else' }).click();
  await page.keyboard.press('Escape');
  await done(page, 'Filter hot');
  await expect(says(page)).toContainText('coffee filter or paper good');
  await expect(says(page)).toContainText('A rinse of 5 mL brings');
  await done(page, 'Leave to evaporate');
  await page.keyboard.press('e');
  await expect(page.getByText(/^Boiled in about/)).toBeVisible();
  await page.getByRole('slider', { name: 'humidity, %' }).focus();
  await page.keyboard.press('End');
  await expect(page.getByText(/left in this air, never|g a day/)).toBeVisible();
  await expectAccessible(page);
  await done(page, 'Cool slowly');
  await done(page, 'Filter off and rinse');
  await done(page, 'to constant mass');

  // A part goes on as it is, wet; the rest keeps its share of the yield.
  await page.getByRole('button', { name: 'Change the run' }).click();
  await page.getByText('use further', { exact: true }).click();
  await page.getByRole('button', { name: 'To the shelf, intermediate' }).click();
  await expect(page.getByRole('alert')).toContainText('Weigh all of it');
  await page.getByLabel('All of it, wet').fill('90');
  await page.getByLabel('Used further').fill('95');
  await page.getByRole('button', { name: 'To the shelf, intermediate' }).click();
  await expect(page.getByRole('alert')).toContainText('at most all of it');
  await page.getByLabel('Used further').fill('22,5');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'To the shelf, intermediate' }).click();
  await expect(log(page)).toContainText('25 % used further, to the shelf');

  // The rest has caked: back into solution and once more through the cold, without leaving the run.
  await page.getByRole('button', { name: 'Change the run' }).click();
  await page.getByText('redissolve', { exact: true }).click();
  await page.getByLabel('Why').fill('it caked');
  await page.getByRole('button', { name: 'Redissolve it' }).click();
  const rail = page.getByRole('navigation', { name: 'Steps of this run' });
  await expect(rail).toContainText('Again: Cool slowly');
  await rail.getByRole('link', { name: /Redissolve it in/ }).click();
  await expect(title(page)).toContainText('Redissolve it in');
  await done(page, 'Again: Cool slowly');
  await done(page, 'Again: Filter off');
  await done(page, 'Again: Dry below');
  await page.keyboard.press('r');
  await expect(page.getByText(/^Not above 40 °C/)).toBeVisible();
  await expect(page.getByRole('row', { name: /^oven/ })).toContainText('mind it');
  await expectAccessible(page);
  await read(page, 'mass', '41.2');
  await expect(page.getByRole('region', { name: 'As it stands' })).toContainText('Weighed once');

  // The same again, by cooling alone, beside it.
  await page.goto(`${notebook.origin}/plan?make=70+g+alum`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await expect(title(page)).toContainText('Weigh');
  await page.goto(`${notebook.origin}/record`);
  await page.getByRole('checkbox', { name: /^batch 1,/ }).check();
  await expect(page.getByText('Tick two or more')).toBeVisible();
  await page.getByRole('checkbox', { name: /^batch 2,/ }).check();
  await page.getByRole('link', { name: 'Set 2 batches side by side' }).click();
  await expect(page.getByRole('row', { name: /^leave to evaporate to.*differs/ })).toContainText('100 % of water');
  await expect(page.getByRole('row', { name: /^cool to/ })).not.toContainText('differs');
  await expectAccessible(page);
  // What was used further stands on the shelf, intermediate, as strong as it is expected to be; the bottle it came from has less.
  await page.goto(`${notebook.origin}/shelf`);
  const half = page.getByRole('link', { name: /wet, batch 1.*23 g left/ }).first();
  await expect(half).toBeVisible();
  await half.click();
  await expect(page.getByText('The rest is water; plans count it as water.')).toBeVisible();
  await expect(page.getByRole('link', { name: /Potassium alum ?, label only, 920 g left/ }).first()).toBeVisible();
});

test('zinc chloride is a solution that the reaction makes: a yield by its density, then the start of a carbonate', async ({
  page,
  notebook,
}) => {
  await putBottles(
    page,
    'zinc 99% 900 g 14.00',
    'hydrochloric acid 28% 5 L 11.50',
    'washing soda crystals 100% 1 kg 2.10',
  );
  await page.goto(`${notebook.origin}/plan?make=400+mL+of+1,5+mol/L+zinc+chloride`);
  // 0.6 mol: 1.2 mol of acid, 156 g at 28 %.
  await expect(page.getByRole('button', { name: /^hydrochloric acid to take: 15[56]/ }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await expect(title(page)).toContainText('Outdoors');
  for (const next of ['Weigh', 'Put', 'Pour', 'Add the zinc', 'Filter off zinc', 'Bring it to']) await done(page, next);
  await tryReading(page, 'density', '-1');
  await expect(page.getByText('below zero')).toBeVisible();
  // 1,165 could be a thousand: it is refused until it is said which.
  await tryReading(page, 'density', '1,165');
  await expect(page.getByText(/1,165/)).toBeVisible();
  await page.getByLabel('Reading', { exact: true }).fill('1.155');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(log(page)).toContainText('density 1.155 g/mL');
  await done(page, 'Into a bottle');
  await done(page, 'Into a bottle');
  await page.getByRole('link', { name: 'See its record' }).click();
  // 16.8 % at 1.155 g/mL: 77.6 g in 400 mL, of 82.3 g that the acid could give.
  await expect(page.getByRole('region', { name: 'Yield' })).toContainText(/9[2-8](\.\d)?\s*± /);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('link', { name: 'On the shelf' })).toBeVisible();
  // It is offered for the carbonate at once.
  await page.goto(`${notebook.origin}/plan?make=20+g+zinc+carbonate`);
  await expect(page.getByText('a zinc salt + washing soda')).toBeVisible();
  await expect(page.getByText(/Zinc chloride.*batch 1/i).first()).toBeVisible();
});
