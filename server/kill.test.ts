import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';
import { times } from '#testing/property';
import { testShelf } from '#testing/shelf';
import { built } from './testing/built.ts';
import { entry, longId, testPlan } from './testing/notebook.ts';

const main = built('main');
const KILLS = times(60);
const AT_ONCE = 30;

const children: ChildProcess[] = [];
afterAll(() => {
  for (const child of children) child.kill('SIGKILL');
});

/** The real server in a process of its own; resolves with its address. */
async function start(home: string): Promise<{ child: ChildProcess; origin: string }> {
  const child = spawn(process.execPath, [fileURLToPath(main)], {
    env: { ...process.env, EARNEST_HOME: home, PORT: '0' },
  });
  children.push(child);
  const origin = await new Promise<string>((resolve, reject) => {
    child.stdout?.on('data', (chunk: Buffer) => {
      const found = /http:\/\/127\.0\.0\.1:\d+/.exec(chunk.toString());
      if (found) resolve(found[0]);
    });
    child.stderr?.on('data', (chunk: Buffer) => reject(new Error(chunk.toString())));
  });
  return { child, origin };
}

const post = async (url: string, body: unknown) =>
  (await fetch(url, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) }))
    .status;

describe('a second server', () => {
  it('on the same notebook is refused in a sentence, and starts once the first is killed', async () => {
    const home = mkdtempSync(join(tmpdir(), 'still-two-'));
    const { child } = await start(home);
    await expect(start(home)).rejects.toThrow(/is open in another Earnest Still/);
    child.kill('SIGKILL');
    await new Promise((gone) => child.on('exit', gone));
    expect((await start(home)).origin).toContain('http');
  });
});

describe('a killed server', () => {
  it('loses no reading that it acknowledged', async () => {
    const home = mkdtempSync(join(tmpdir(), 'still-kill-'));
    const { child, origin } = await start(home);
    for (const { id, card } of testShelf)
      await post(`${origin}/api/bottles`, { id: longId(id), eventId: `ev_put_${id}`, card });
    await post(`${origin}/api/batches`, { id: 'batch_kill01', plan: testPlan('60 g zinc sulfate') });
    const acknowledged: string[] = [];
    // Many in flight at once, and the kill falls among them.
    const sent = Array.from({ length: 300 }, (_, i) => {
      const reading = entry(
        {
          kind: 'read',
          step: 'dissolve',
          quantity: 'temperature',
          reading: { is: 'exact', value: 20 + i / 10, unit: '°C' },
          place: '',
        },
        new Date().toISOString(),
        `ev_kill_${String(i).padStart(4, '0')}`,
      );
      return post(`${origin}/api/batches/batch_kill01/events`, { events: [reading] }).then(
        (status) => {
          if (status === 201) acknowledged.push(reading.id);
          if (acknowledged.length === 60) child.kill('SIGKILL');
        },
        () => undefined,
      );
    });
    await Promise.all(sent);
    expect(acknowledged.length).toBeGreaterThanOrEqual(60);
    expect(acknowledged.length).toBeLessThan(300);

    const again = await start(home);
    const batch = (await (await fetch(`${again.origin}/api/batches/batch_kill01`)).json()) as {
      events: { id: string }[];
    };
    const kept = new Set(batch.events.map(({ id }) => id));
    expect(acknowledged.filter((id) => !kept.has(id))).toEqual([]);
    again.child.kill('SIGTERM');
    await new Promise((resolve) => again.child.on('exit', resolve));
    expect(again.child.exitCode).toBe(0);
  });

  it('again and again among entries in flight loses none that it acknowledged, and keeps none twice', async () => {
    const home = mkdtempSync(join(tmpdir(), 'still-kills-'));
    let { child, origin } = await start(home);
    for (const { id, card } of testShelf)
      await post(`${origin}/api/bottles`, { id: longId(id), eventId: `ev_put_${id}`, card });
    await post(`${origin}/api/batches`, { id: 'batch_kills1', plan: testPlan('60 g zinc sulfate') });
    /** What a page does that gets no answer: nothing is taken for written. */
    const taken = (event: object) =>
      post(`${origin}/api/batches/batch_kills1/events`, { events: [event] }).then(
        (status) => status === 201,
        () => false,
      );
    const acknowledged = new Set<string>();
    let unanswered: { id: string }[] = [];
    for (let kill = 0; kill < KILLS; kill++) {
      const made = Array.from({ length: AT_ONCE }, (_, i) =>
        entry({ kind: 'noted', step: 'zinc', text: `${kill} ${i}` }, new Date().toISOString(), `ev_kills_${kill}_${i}`),
      );
      // What got no answer goes out again with its own id, as the page sends it.
      const out = [...unanswered, ...made];
      const gone = new Promise((resolve) => child.on('exit', resolve));
      let answers = 0;
      const done = await Promise.all(
        out.map(async (each) => {
          const yes = await taken(each);
          answers += 1;
          // The kill falls somewhere among them, each time elsewhere.
          if (answers === 1 + ((kill * 7) % AT_ONCE)) child.kill('SIGKILL');
          return { each, yes };
        }),
      );
      for (const { each, yes } of done) if (yes) acknowledged.add(each.id);
      unanswered = done.filter(({ yes }) => !yes).map(({ each }) => each);
      await gone;
      ({ child, origin } = await start(home));
    }
    expect(unanswered.length + acknowledged.size).toBe(KILLS * AT_ONCE);
    const said = async () => {
      const answer = await fetch(`${origin}/api/batches/batch_kills1`);
      return ((await answer.json()) as { events: { id: string }[] }).events.map(({ id }) => id);
    };
    const kept = await said();
    expect([...acknowledged].filter((id) => !kept.includes(id))).toEqual([]);
    for (const each of unanswered) expect(await taken(each)).toBe(true);
    const all = await said();
    expect(all).toHaveLength(KILLS * AT_ONCE);
    expect(new Set(all).size).toBe(all.length);
  });
});
