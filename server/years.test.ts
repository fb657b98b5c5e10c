import { expect, it } from 'vitest';
import { testNotebook } from './testing/notebook.ts';
import { batchId, fill } from './testing/years.ts';

it('keeps a notebook of years: its lists, its readings thinned, its run of thousands of entries', async () => {
  const { api, db } = testNotebook();
  const post = async (path: string, body: unknown) => {
    const answer = await api.post(`/api${path}`).send(body as object);
    return answer.ok ? '' : answer.text;
  };
  await fill(db, post, { bottles: 200, batches: 100, readings: 200_000, entries: 1000 });
  expect((await api.get('/api/bottles').expect(200)).body).toHaveLength(200);
  const batches = (await api.get('/api/batches').expect(200)).body as { status: string }[];
  expect(batches).toHaveLength(100);
  expect(batches.filter(({ status }) => status === 'running')).toHaveLength(5);
  expect((await api.get('/api/board').expect(200)).body.running).toHaveLength(5);
  expect((await api.get('/api/clock').expect(200)).body.written).toBeGreaterThan(1000);
  // 2,000 readings of each batch are drawn by some hundreds, the last among them.
  const feed = (await api.get(`/api/batches/${batchId(3)}/feed?points=800`).expect(200)).body;
  expect(feed.readings.length).toBeLessThan(1000);
  expect(feed.readings.length).toBeGreaterThan(300);
  expect(feed.readings.at(-1).seq).toBe(2000);
  expect((await api.get(`/api/batches/${batchId(0)}`).expect(200)).body.events).toHaveLength(1001);
  // What an upgrade leaves stale is answered at once as it was, and is whole again after a while.
  db.exec('UPDATE batch_summary SET model = 0');
  expect((await api.get('/api/batches').expect(200)).body).toHaveLength(100);
  const stale = () => (db.prepare('SELECT COUNT(*) AS n FROM batch_summary WHERE model = 0').get() as { n: number }).n;
  await expect.poll(stale, { timeout: 600_000 }).toBe(0);
});
