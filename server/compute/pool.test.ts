import { afterAll, describe, expect, it } from 'vitest';
import { built } from '../testing/built.ts';
import { computePool } from './pool.ts';

const worker = built('compute-worker');
const pools: { close: () => Promise<void> }[] = [];
const pool = (options = {}) => {
  const made = computePool({ worker, ...options });
  pools.push(made);
  return made;
};
afterAll(() => Promise.all(pools.map((each) => each.close())));

describe('the compute door’s threads', () => {
  it('answer as the door does, refusals too', async () => {
    const { ask } = pool({ patienceMs: 60_000 });
    const good = await ask('reckon', { text: '28% HCl in mol/L' });
    expect(good).toMatchObject({ status: 200, type: 'application/json' });
    expect(JSON.parse((await ask('reckon', { text: '28% unobtainium' })).text)).toMatchObject({ status: 422 });
    expect((await ask('nothing', {})).status).toBe(404);
    expect((await ask('sheet', {})).status).toBe(422);
  });

  it('are broken off with a sentence when it takes too long, and answer the next', async () => {
    const { ask } = pool({ patienceMs: 1 });
    const broken = await ask('reckon', { text: '28% HCl in mol/L' });
    expect(broken.status).toBe(503);
    expect(JSON.parse(broken.text).detail).toContain('broken off');
    const { ask: again } = pool({ patienceMs: 60_000 });
    expect((await again('reckon', { text: '28% HCl in mol/L' })).status).toBe(200);
  });

  it('are asked for no more than can wait', async () => {
    const { ask } = pool({ patienceMs: 60_000 });
    const answers = await Promise.all(Array.from({ length: 60 }, () => ask('reckon', { text: '28% HCl in mol/L' })));
    const statuses = answers.map(({ status }) => status);
    expect(statuses.filter((each) => each === 503).length).toBeGreaterThan(0);
    expect(statuses.filter((each) => each === 200).length).toBeGreaterThan(30);
  });
});
