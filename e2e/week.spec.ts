import type { Page } from '@playwright/test';
import ICAL from 'ical.js';
import { done, log, readFirst } from './hand.ts';
import { expect, expectAccessible, type Notebook, putBottles, test } from './notebook.ts';

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** A shelf, and a plan that is kept. */
async function keepPlan(page: Page, notebook: Notebook): Promise<void> {
  await putBottles(page, 'zinc 99% 900 g 14.00', 'battery acid 37% 1 L 7.90');
  await page.goto(`${notebook.origin}/plan?make=60+g+zinc+sulfate`);
  await page.getByRole('button', { name: 'Keep as a plan' }).click();
  await expect(page).toHaveURL(/plan\/batch_/);
}

/** There at every hour of the day, so that no test hangs on when it is run. */
async function alwaysThere(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Your hours' }).click();
  for (const day of WEEKDAYS) await page.getByLabel(day, { exact: true }).fill('0:00 to 24:00');
  await page.getByLabel('Asleep').fill('3:00 to 3:15');
  await page.getByRole('button', { name: 'Keep them' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
}

/** The calendar as it is fetched, by the identity of its events. */
async function calendar(notebook: Notebook) {
  const text = await (await fetch(`${notebook.origin}/api/week/calendar.ics`)).text();
  const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((each) => new ICAL.Event(each));
  return new Map(events.map((each) => [each.uid, each.startDate.toJSDate().valueOf()]));
}

const steps = (page: Page) => page.locator('.week-card');

test('a week planned and kept, a step put off, the rest moved with what that breaks, and the calendar with it', async ({
  page,
  notebook,
}) => {
  await keepPlan(page, notebook);
  await page.goto(`${notebook.origin}/bench/week`);
  // Hours that are none are refused beside their field.
  await page.getByRole('button', { name: 'Your hours' }).click();
  await page.getByLabel('Monday', { exact: true }).fill('22 to 18');
  await expect(page.getByText(/Write them as 18:00 to 22:00/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep them' })).toBeDisabled();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await alwaysThere(page);
  await expect(steps(page).first()).toBeVisible();
  await expectAccessible(page);
  // How cold it gets outdoors is said by hand, the right way round.
  await page
    .getByRole('button', { name: /^Temperature outdoors on/ })
    .nth(2)
    .click();
  await page.getByLabel('Coldest').fill('7');
  await page.getByLabel('Warmest').fill('-2,5');
  await expect(page.getByText('The coldest is above the warmest')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Keep it' })).toBeDisabled();
  await expectAccessible(page);
  await page.getByLabel('Coldest').fill('-2,5');
  await page.getByLabel('Warmest').fill('7');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('button', { name: /^Temperature outdoors on/ }).nth(2)).toHaveText('-2.5 to 7 °C');
  await expect(steps(page).first()).toBeVisible();
  const all = await steps(page).count();
  expect(all).toBeGreaterThan(8);
  await page.getByRole('button', { name: 'Keep this plan' }).click();
  await expect(page.getByRole('button', { name: 'Plan it again' })).toBeVisible();
  const before = await calendar(notebook);
  expect(before.size).toBe(all);

  // Filtering is put off by three days: it goes there, and what follows it comes after.
  await page.getByRole('button', { name: /Filter off the specks/ }).click();
  const chosen = page.getByRole('region', { name: 'This step in the week' });
  await expect(chosen).toContainText('Why then');
  await chosen.getByLabel('Begin it').fill('2020-01-01T10:00');
  await expect(chosen.getByText('That is past')).toBeVisible();
  const later = new Date(Date.now() + 3 * 86_400_000);
  const local = new Date(later.valueOf() - later.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
  await chosen.getByLabel('Begin it').fill(local);
  await chosen.getByRole('button', { name: 'Put it there' }).click();
  await expect(page.getByRole('region', { name: 'Moved since it was kept' })).toContainText('Boil down');
  await expect(chosen).toContainText('You put it there.');
  const after = await calendar(notebook);
  expect([...after.keys()].sort()).toEqual([...before.keys()].sort());
  const at = (step: string, of: typeof after) => [...of].find(([uid]) => uid.includes(step))?.[1] ?? 0;
  expect(at('.filter', after) - later.valueOf()).toBeLessThan(6 * 60_000);
  expect(at('.boil-down', after)).toBeGreaterThanOrEqual(at('.filter', after));
  expect(at('.ready', after)).toBeLessThan(at('.filter', after));

  // Put before what it waits for it says so; let go it finds its place again.
  const soon = new Date(Date.now() + 10 * 60_000);
  await chosen
    .getByLabel('Begin it')
    .fill(new Date(soon.valueOf() - soon.getTimezoneOffset() * 60_000).toISOString().slice(0, 16));
  await chosen.getByRole('button', { name: 'Put it there' }).click();
  await expect(page.getByRole('list', { name: 'What is amiss' })).toContainText(/may be over .* too late for it/);
  await chosen.getByRole('button', { name: 'Let it go' }).click();
  await expect(page.getByRole('list', { name: 'What is amiss' }).getByText('too late for it')).toBeHidden();

  // The still wet product lies too long: said with its reason, and why it stands there is a tap away.
  await page.getByRole('button', { name: /Dry in air/ }).click();
  await chosen
    .getByLabel('Begin it')
    .fill(new Date(later.valueOf() + 9 * 86_400_000 - later.getTimezoneOffset() * 60_000).toISOString().slice(0, 16));
  await chosen.getByRole('button', { name: 'Put it there' }).click();
  const amiss = page.getByRole('list', { name: 'What is amiss' });
  await expect(amiss).toContainText(
    /“Dry in air.*should follow “Filter off and rinse” within 12 h.*it lies wet in the open/,
  );
  await chosen.getByRole('button', { name: 'Let it go' }).click();
  await expect(amiss.getByText('it lies wet in the open')).toBeHidden();

  // By hand to another day.
  const card = page.getByRole('button', { name: /Into a jar, with a label/ });
  await card.scrollIntoViewIfNeeded();
  const last = page.locator('.week-day').last();
  await expect(async () => {
    const [from, to] = [await card.boundingBox(), await last.boundingBox()];
    if (!from || !to) throw new Error('not there');
    await page.mouse.move(from.x + 20, from.y + 8);
    await page.mouse.down();
    await page.mouse.move(from.x + 40, from.y + 12, { steps: 4 });
    await page.mouse.move(to.x + 40, to.y + 30, { steps: 8 });
    await page.waitForTimeout(300);
    await page.mouse.up();
    await expect(last.getByRole('button', { name: /Into a jar/ })).toBeVisible({ timeout: 5000 });
  }).toPass();

  // A hundred tries, and a plan that is left out of the week.
  await page.getByRole('button', { name: 'Go through it a hundred times' }).click();
  await expect(page.getByRole('list', { name: 'Where it fails' }).or(page.getByText('It holds'))).toBeVisible();
  await page.getByRole('button', { name: /^Leave out zinc sulfate/ }).click();
  await expect(page.getByRole('heading', { name: 'Nothing wants you this week' })).toBeVisible();
  await page.getByRole('button', { name: /^Take in zinc sulfate/ }).click();
  await expect(steps(page).first()).toBeVisible();
});

test('what fits, and when something would be done, asked of the week; nobody there is said plainly', async ({
  page,
  notebook,
}) => {
  await keepPlan(page, notebook);
  await page.goto(`${notebook.origin}/bench/week`);
  await alwaysThere(page);
  await page.goto(`${notebook.origin}/bench`);
  const fits = page.getByRole('region', { name: 'What fits now' });
  await fits.getByLabel('I have').fill('soon');
  await expect(fits.locator('.problem')).toBeVisible();
  await fits.getByLabel('I have').fill('1,5 h');
  const line = page.getByLabel('Reckoner');
  const answer = page.locator('.reckoner-answer');
  await line.fill('when 30 g zinc sulfate');
  await expect(answer).toContainText(/zinc sulfate.*visits/s);
  await line.fill('when 30 g unobtainium');
  await expect(answer.locator('.problem')).toBeVisible();
  await line.fill('fits 3 h');
  await expect(
    answer.getByRole('list', { name: 'What fits' }).or(answer.getByText('Nothing that is ready fits')),
  ).toBeVisible();
  await line.fill('');
  await page.goto(`${notebook.origin}/bench/week`);
  await page.getByRole('button', { name: 'Your hours' }).click();
  for (const day of WEEKDAYS) await page.getByLabel(day, { exact: true }).fill('');
  await page.getByRole('button', { name: 'Keep them' }).click();
  await expect(page.getByText('There is no free hour at all: say when you are there.')).toBeVisible();
});

test('leaving: made safe in order, written down, and back to what was missed', async ({ page, notebook }) => {
  await putBottles(page, 'zinc 99% 900 g 14.00', 'battery acid 37% 1 L 7.90');
  await page.goto(`${notebook.origin}/plan?make=60+g+zinc+sulfate`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await readFirst(page);
  await done(page, 'of zinc');
  const batch = /batch_[\w-]+/.exec(page.url())?.[0] ?? '';
  const now = new Date().toISOString();
  const started = {
    id: 'ev_started01',
    happened: { at: now, giveOrTakeMin: 0 },
    body: { kind: 'started', step: 'zinc' },
  };
  await notebook.post(`/batches/${batch}/events`, { events: [started] });
  await page.goto(`${notebook.origin}/bench`);
  await page.getByRole('link', { name: 'I am leaving' }).click();
  await page.getByLabel('Back by').fill('2020-01-01T10:00');
  await expect(page.getByText('Say a day and a time that are still to come.')).toBeVisible();
  const back = new Date(Date.now() + 5 * 3_600_000);
  await page
    .getByLabel('Back by')
    .fill(new Date(back.valueOf() - back.getTimezoneOffset() * 60_000).toISOString().slice(0, 16));
  const first = page.getByRole('region', { name: 'Make safe first' });
  await expect(first).toContainText('of zinc');
  await expectAccessible(page);
  await expect(page.getByRole('button', { name: 'I must go all the same' })).toBeVisible();
  await first.getByRole('checkbox').check();
  await page.getByRole('button', { name: /I am gone until/ }).click();
  await expect(page.getByText(/Nobody at the bench since/)).toBeVisible();
  await page.getByRole('button', { name: 'I am back' }).click();
  await expect(page.getByRole('heading', { name: 'Back at the bench' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Look at first' })).toBeVisible();
  await page.getByRole('region', { name: 'Then' }).getByRole('link').first().click();
  await expect(log(page)).toContainText('Made safe before leaving');
});

test('what is due is told until it is seen, on every page, and put off with a reason', async ({
  page,
  notebook,
  context,
}) => {
  await context.addInitScript(() => {
    const shown: string[] = [];
    Object.assign(window, { shown });
    Object.defineProperty(Notification, 'permission', { get: () => 'granted' });
    const registration = {
      showNotification: (_: string, { body }: { body: string }) => Promise.resolve(void shown.push(body)),
    };
    Object.defineProperty(navigator.serviceWorker, 'getRegistration', { value: () => Promise.resolve(registration) });
    localStorage.setItem('earnest-still:told', 'on');
  });
  await putBottles(page, 'zinc 99% 900 g 14.00', 'battery acid 37% 1 L 7.90');
  await page.goto(`${notebook.origin}/plan?make=60+g+zinc+sulfate`);
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await readFirst(page);
  const batch = /batch_[\w-]+/.exec(page.url())?.[0] ?? '';
  const ago = (min: number) => new Date(Date.now() - min * 60_000).toISOString();
  const timer = (id: string, name: string) => ({
    id: `ev_${id}`,
    happened: { at: ago(40), giveOrTakeMin: 0 },
    body: { kind: 'timer-set', step: 'ready', timer: `timer_${id}`, name, minutes: 30 },
  });
  const started = {
    id: 'ev_started01',
    happened: { at: ago(41), giveOrTakeMin: 0 },
    body: { kind: 'started', step: 'ready' },
  };
  await notebook.post(`/batches/${batch}/events`, {
    events: [started, timer('first001', 'stir it'), timer('second01', 'feel its warmth')],
  });
  await page.goto(`${notebook.origin}/shelf`);
  const due = page.getByRole('region', { name: 'Due now' });
  await expect(due).toContainText('stir it, zinc sulfate');
  await expect(due).toContainText('for 10 min');
  await expectAccessible(page);
  await expect
    .poll(() => page.evaluate(() => (window as unknown as { shown: string[] }).shown))
    .toContain('stir it, zinc sulfate');
  const other = await context.newPage();
  await other.goto(`${notebook.origin}/record`);
  await expect(other.getByRole('region', { name: 'Due now' })).toContainText('stir it');
  await due.getByRole('button', { name: /^Seen: stir it/ }).click();
  await expect(due).not.toContainText('stir it');
  await expect(other.getByRole('region', { name: 'Due now' })).not.toContainText('stir it');
  await due.getByRole('button', { name: /^Later: feel its warmth/ }).click();
  await expect(due.getByRole('button', { name: 'Put it off' })).toBeDisabled();
  await due.getByLabel('Why').fill('at table');
  await due.getByRole('button', { name: 'Put it off' }).click();
  await expect(due).toBeHidden();
  await expect(other.getByRole('region', { name: 'Due now' })).toBeHidden();
});
