import { expect, test } from '@playwright/test';
import { testShelf } from '#testing/shelf';
import { entry, longId, testPlan } from '../server/testing/notebook.ts';
import { Notebook } from './notebook.ts';

const KILLS = 20;
const AT_ONCE = 30;

/** What a page does that gets no answer: nothing is taken for written. */
async function taken(notebook: Notebook, events: readonly object[]): Promise<boolean> {
  return notebook.post('/batches/batch_kills1/events', { events }).then(
    () => true,
    () => false,
  );
}

test('twenty kills among entries in flight: none that was acknowledged is lost, none stands twice', async () => {
  const notebook = new Notebook();
  await notebook.start();
  for (const { id, card } of testShelf)
    await notebook.post('/bottles', { id: longId(id), eventId: `ev_put_${id}`, card });
  await notebook.post('/batches', { id: 'batch_kills1', plan: testPlan('60 g zinc sulfate') });
  const acknowledged = new Set<string>();
  let unanswered: { id: string }[] = [];
  for (let kill = 0; kill < KILLS; kill++) {
    const made = Array.from({ length: AT_ONCE }, (_, i) =>
      entry({ kind: 'noted', step: 'zinc', text: `${kill} ${i}` }, new Date().toISOString(), `ev_kills_${kill}_${i}`),
    );
    // What got no answer goes out again with its own id, as the page sends it.
    const out = [...unanswered, ...made];
    let answers = 0;
    const sent = out.map(async (each) => {
      const yes = await taken(notebook, [each]);
      answers += 1;
      // The kill falls somewhere among them, each time elsewhere.
      if (answers === 1 + ((kill * 7) % AT_ONCE)) void notebook.stop('SIGKILL');
      return { each, yes };
    });
    const done = await Promise.all(sent);
    for (const { each, yes } of done) if (yes) acknowledged.add(each.id);
    unanswered = done.filter(({ yes }) => !yes).map(({ each }) => each);
    await notebook.stop('SIGKILL');
    await notebook.start();
  }
  expect(unanswered.length + acknowledged.size).toBe(KILLS * AT_ONCE);
  const said = async () => {
    const answer = await fetch(`${notebook.origin}/api/batches/batch_kills1`);
    return ((await answer.json()) as { events: { id: string }[] }).events.map(({ id }) => id);
  };
  const kept = await said();
  expect([...acknowledged].filter((id) => !kept.includes(id))).toEqual([]);
  for (const each of unanswered) expect(await taken(notebook, [each])).toBe(true);
  const all = await said();
  expect(all).toHaveLength(KILLS * AT_ONCE);
  expect(new Set(all).size).toBe(all.length);
  await notebook.stop();
  notebook.dispose();
});
