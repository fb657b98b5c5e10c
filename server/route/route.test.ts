import { pino } from 'pino';
import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { routeFile } from '#run/own';
import { catalogue } from '#run/route';
import { createApp } from '../app.ts';
import { openDb } from '../db/open.ts';

const app = () => request(createApp({ db: openDb(':memory:'), home: '/nowhere', log: pino({ level: 'silent' }) }));
const mine = { ...catalogue[1]!, id: 'own-vinegar', title: 'vinegar, my own' };

describe('a route of one’s own', () => {
  it('is kept in versions: a stale change is refused, the same sent twice is one', async () => {
    const api = app();
    await api.put('/api/routes/own-vinegar').send({ basedOn: 0, route: mine }).expect(200);
    await api.put('/api/routes/own-vinegar').send({ basedOn: 0, route: mine }).expect(200);
    const next = { ...mine, title: 'vinegar, better' };
    await api.put('/api/routes/own-vinegar').send({ basedOn: 1, route: next }).expect(200);
    const stale = await api
      .put('/api/routes/own-vinegar')
      .send({ basedOn: 1, route: { ...mine, title: 'other' } })
      .expect(409);
    expect(stale.body.detail).toContain('changed elsewhere');
    const list = await api.get('/api/routes').expect(200);
    expect(list.body).toEqual([
      expect.objectContaining({ id: 'own-vinegar', version: 2, route: next, retired: false }),
    ]);
  });

  it('goes out of use and comes back, and leaves as a file that is read back the same', async () => {
    const api = app();
    await api.put('/api/routes/own-vinegar').send({ basedOn: 0, route: mine }).expect(200);
    const gone = await api.post('/api/routes/own-vinegar/retire').expect(200);
    expect(gone.body).toMatchObject({ retired: true, version: 2 });
    await api.post('/api/routes/own-vinegar/restore').expect(200);
    const file = await api.get('/api/routes/own-vinegar/file').expect(200);
    expect(file.headers['content-disposition']).toContain('vinegar-my-own.route.json');
    const look = await api.post('/api/routes/look').send(JSON.parse(file.text)).expect(200);
    expect(look.body.route).toEqual(mine);
    expect(look.body.leavesOpen.join(' ')).not.toContain('undefined');
  });

  it.each([
    ['nothing of a route', { a: 1 }],
    ['a newer form', { ...routeFile(mine), version: 99 }],
    [
      'an equation that does not balance',
      routeFile({
        ...mine,
        reactions: [{ ...mine.reactions[0]!, products: [{ substanceId: 'sodium-acetate', n: 5 }] }],
      }),
    ],
    [
      'a step that names what is not there',
      routeFile({ ...mine, steps: [{ ...mine.steps[0]!, act: 'Add {moon.mass}.' }] }),
    ],
  ])('is refused with a sentence: %s', async (_, file) => {
    const answer = await app().post('/api/routes/look').send(file);
    expect([400, 422]).toContain(answer.status);
    expect(answer.body.detail).toMatch(/[.!]$/);
  });

  it('passes the gate or is not kept: chlorine made on purpose, and a name that is refused everywhere', async () => {
    const acid = catalogue[0]!.roles[0]!;
    const bleach = {
      ...mine,
      id: 'own-bleach',
      makes: { kind: 'solid', substanceId: 'sodium-chloride', anhydrousId: 'sodium-chloride' },
      roles: [
        { ...acid, id: 'acid', accepts: ['hydrochloric-acid'], dose: { by: 'extent', perExtent: 2 } },
        { ...acid, id: 'bleach', accepts: ['sodium-hypochlorite'], dose: { by: 'extent', perExtent: 1 } },
      ],
      reactions: [
        {
          id: 'gas',
          reactants: [
            { substanceId: 'sodium-hypochlorite', n: 1 },
            { substanceId: 'hydrochloric-acid', n: 2 },
          ],
          products: [
            { substanceId: 'sodium-chloride', n: 1 },
            { substanceId: 'chlorine', n: 1 },
            { substanceId: 'water', n: 1 },
          ],
        },
      ],
      controls: [],
      steps: [
        {
          ...mine.steps[0]!,
          id: 'one',
          title: 'Acid',
          act: '',
          why: 'w',
          expect: 'e',
          op: { do: 'add', role: 'acid' },
          after: [],
        },
        {
          ...mine.steps[0]!,
          id: 'two',
          title: 'Bleach',
          act: '',
          why: 'w',
          expect: 'e',
          op: { do: 'add', role: 'bleach', reacts: ['gas'] },
          after: [],
        },
      ],
    };
    const kept = await app().put('/api/routes/own-bleach').send({ basedOn: 0, route: bleach });
    expect(kept.status).toBeGreaterThanOrEqual(400);
    expect(kept.body.detail).toMatch(/never|chlorine/i);
    const taken = await app()
      .put('/api/routes/zinc-sulfate')
      .send({ basedOn: 0, route: { ...mine, id: 'zinc-sulfate' } });
    expect(taken.body.detail).toContain('own-');
  });

  it('stands under its own id, and is not found under another', async () => {
    const api = app();
    await api.get('/api/routes/own-none/file').expect(404);
    await api
      .put('/api/routes/own-vinegar')
      .send({ basedOn: 0, route: { ...mine, id: 'own-other' } })
      .expect(422);
  });
});
