import { done, log, read, readFirst, title, weigh } from './hand.ts';
import { expect, expectAccessible, putBottles, test } from './notebook.ts';

test('an ester is warmed too short, neutralised, parted, washed, dried and distilled to a yield', async ({
  page,
  notebook,
}) => {
  test.slow();
  await putBottles(
    page,
    'acetic acid 80% 1 L 6.00',
    'ethanol 96% 1 L 12.00',
    'sodium hydrogensulfate 95% 1 kg 7.40',
    'baking soda 1 kg 2.10',
    'table salt 99% 1 kg 0.85',
    'anhydrous magnesium sulfate 98% 300 g 5.00',
  );
  await page.goto(`${notebook.origin}/plan?make=60+g+ethyl+acetate`);
  await page.getByRole('button', { name: 'Rehearse the reflux' }).click();
  const rehearsal = page.getByRole('dialog');
  await expect(rehearsal).toContainText(/it boils at about 7\d °C/);
  await rehearsal.getByRole('button', { name: 'Heat off: stop here' }).click();
  await expect(rehearsal).toContainText('Stopped early');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await done(page, 'into the flask');
  await weigh(page, '118');
  await done(page, 'Ethanol');
  await done(page, 'Stir in');
  await done(page, 'Under the condenser');
  await readFirst(page);
  // Cooler than planned: it comes less far.
  await read(page, 'temperature', '55');
  const ester = page.getByRole('region', { name: 'The ester' });
  await expect(ester).toContainText(/too few/);
  await done(page, 'Cool in ice');
  await done(page, 'Neutralise, open');
  await done(page, 'Let it part');
  await expect(page.getByRole('region', { name: 'The funnel' })).toContainText(/Ethyl acetate is above/);
  await done(page, 'Wash');
  await done(page, 'of salt in it');
  await done(page, 'Run the brine off');
  await done(page, 'Onto');
  await done(page, 'Half an hour');
  await done(page, 'Put the still together');
  await done(page, 'Bring to the boil');
  await done(page, 'the fore-run');
  await expectAccessible(page);
  await done(page, 'the ester, until');
  await done(page, 'Heat off');
  await done(page, 'Bottle, label');
  await readFirst(page);
  await page.getByRole('button', { name: 'Step done' }).click();
  await page.getByRole('link', { name: 'See its record' }).click();
  await expect(page.getByRole('region', { name: 'Yield' })).toContainText(/about [123]\d(\.\d)? ± \d/);
});

test('periodate is acidified by dose and test until the paper says so, and then no further', async ({
  page,
  notebook,
}) => {
  test.slow();
  await putBottles(
    page,
    'potassium iodate 99% 100 g 14.00',
    'caustic potash 86% 1 kg 8.00',
    'potassium persulfate 98% 500 g 11.00',
    'nitric acid 53% 500 mL 9.00',
  );
  await page.goto(`${notebook.origin}/plan?make=15+g+potassium+metaperiodate`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await done(page, 'of water to the boil');
  await done(page, 'Potassium iodate');
  await done(page, 'a few flakes at a time');
  await done(page, 'Boil gently');
  await done(page, 'Acidify');
  await readFirst(page);
  const portion = page.getByRole('button', { name: /^\d+(\.\d+)? mL went in$/ });
  await portion.click();
  await expect(log(page)).toContainText(/itric acid \d/);
  await page.getByRole('button', { name: 'blue, over 9' }).click();
  const says = page.getByRole('region', { name: 'What the readings say' });
  await expect(says).toContainText('pH not there yet');
  await portion.click();
  await portion.click();
  await read(page, 'pH', '4,5');
  // Sooner than the dose says: it is said, and the paper decides.
  await expect(page.getByText(/[Ss]top here|the paper/).first()).toBeVisible();
  await expect(says).not.toContainText('pH not there yet');
  await expectAccessible(page);
  await done(page, 'Chill to');
  await expect(page.getByRole('article', { name: 'This step' })).toContainText(/of white grains/);
  await expect(title(page)).toContainText('5 °C');
});
