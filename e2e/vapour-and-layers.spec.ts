import { done, log, read, readFirst, weigh } from './hand.ts';
import { expect, expectAccessible, putBottles, test } from './notebook.ts';

test('iodine is freed by portions, stopped after the first, and what little there is sublimes part of the way', async ({
  page,
  notebook,
}) => {
  await putBottles(
    page,
    'potassium iodide 99% 100 g 12.00',
    'hydrochloric acid 10% 500 mL 3.00',
    'hydrogen peroxide 3% 500 mL 1.00',
  );
  // More than a few grams is not planned here.
  await page.goto(`${notebook.origin}/plan?make=50+g+iodine`);
  await expect(page.getByText(/up to 10 g/).first()).toBeVisible();
  await page.goto(`${notebook.origin}/plan?make=4+g+iodine`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await done(page, 'of iodide');
  await weigh(page, '6,10');
  await done(page, 'Dissolve it');
  await done(page, 'Hydrochloric acid');
  await done(page, 'Drop in');
  await readFirst(page);
  // One portion is in, warmer than it was to be; what is seen says that it is not enough.
  await page.getByRole('button', { name: /^\d(\.\d+)? mL went in$/ }).click();
  await expect(log(page)).toContainText(/eroxide \d(\.\d+)? mL/);
  await page.getByRole('button', { name: 'it darkens where a drop falls' }).click();
  await expect(log(page)).toContainText('it darkens where a drop falls');
  await read(page, 'temperature', '19,5');
  await done(page, 'Cover, let it settle');
  await done(page, 'Filter on glass');
  await done(page, 'Press dry');
  await done(page, 'Sublime at');
  await readFirst(page);
  const dish = page.getByRole('region', { name: 'The dish' });
  await expect(dish).toContainText(/g; a look every half hour/);
  await page.getByRole('button', { name: 'Begin' }).click();
  await read(page, 'solid left', '0,2');
  await expect(dish).toContainText(/are over, by what was weighed/);
  await expectAccessible(page);
  await done(page, 'Weigh closed');
  await expect(log(page)).toContainText(/0.2 g/);
});

test('an ester is kept warm, neutralised, parted, washed, dried, and is a bottle with what it holds', async ({
  page,
  notebook,
}) => {
  await putBottles(
    page,
    'isoamyl alcohol 98% 500 mL 13.50',
    'formic acid 85% 1 L 11.20',
    'sodium hydrogensulfate 95% 1 kg 7.40',
    'potassium carbonate 99% 500 g 6.30',
    'table salt 99% 1 kg 0.85',
    'anhydrous magnesium sulfate 98% 300 g 5.00',
  );
  await page.goto(`${notebook.origin}/plan?make=40+g+isoamyl+formate`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await done(page, 'into the flask');
  await weigh(page, '38,2');
  await done(page, 'Formic acid');
  await weigh(page, '41');
  await done(page, 'Stir in');
  await done(page, 'Keep at 60');
  const ester = page.getByRole('region', { name: 'The ester' });
  await expect(ester).toContainText(/are about enough/);
  await expectAccessible(page);
  await done(page, 'Cool in ice');
  await done(page, 'Neutralise, open');
  await done(page, 'Let it part');
  const funnel = page.getByRole('region', { name: 'The funnel' });
  await expect(funnel).toContainText(/Isoamyl formate is above/);
  await expect(funnel).toContainText('potassium formate');
  await expectAccessible(page);
  await done(page, 'Wash');
  await done(page, 'of salt in it');
  await done(page, 'Run the brine off');
  await done(page, 'Onto');
  await done(page, 'Half an hour');
  await done(page, 'Bottle, label');
  await readFirst(page);
  await page.getByRole('button', { name: 'Step done' }).click();
  await page.getByRole('link', { name: 'See its record' }).click();
  await expect(page.getByRole('region', { name: 'Yield' })).toContainText(/about [56]\d ± \d/);
});
