import { must } from '#base/lookup';
import { fail, ok, type Result } from '#base/problem';
import type { OwnRouteAnswer } from '#contract/api';
import { admitRoute, ROUTE_VERSION } from '#run/own';
import type { Route } from '#run/route';
import { immediate } from '../db/immediate.ts';
import type { Db } from '../db/open.ts';

interface Row {
  id: string;
  version: number;
  written_at: string;
  route: string;
  route_version: number;
  retired: number;
}

export type RouteStore = ReturnType<typeof routeStore>;

/** A person's own routes: each change is a version more, and the earlier ones stay. */
export function routeStore(db: Db) {
  const insert = db.prepare(
    'INSERT INTO own_route (id, version, written_at, route, route_version, retired) VALUES (?, ?, ?, ?, ?, ?)',
  );
  const newest = db.prepare<[string], Row>('SELECT * FROM own_route WHERE id = ? ORDER BY version DESC LIMIT 1');
  const all = db.prepare<[], Row>(`
    SELECT r.* FROM own_route r
    WHERE r.version = (SELECT MAX(version) FROM own_route o WHERE o.id = r.id) ORDER BY r.written_at DESC, r.id`);

  const keep = immediate(
    db,
    (route: Route, { basedOn, at }: { readonly basedOn: number; readonly at: string }): Result<OwnRouteAnswer> => {
      const admitted = admitRoute(route);
      if (!admitted.ok) return admitted;
      const before = newest.get(route.id);
      // Sent again, as its answer was lost.
      if (before && before.version === basedOn + 1 && before.route === JSON.stringify(route))
        return ok(toAnswer(before));
      if ((before?.version ?? 0) !== basedOn)
        return fail(
          'conflict',
          'This route was changed elsewhere since you opened it. Look at it again, then repeat your change.',
        );
      insert.run(route.id, basedOn + 1, at, JSON.stringify(route), ROUTE_VERSION, 0);
      return ok(toAnswer(must(newest.get(route.id), 'newest')));
    },
  );

  const retire = immediate(db, (id: string, retired: boolean, at: string): Result<OwnRouteAnswer> => {
    const before = newest.get(id);
    if (!before) return fail('not-found', 'There is no such route.');
    if ((before.retired === 1) === retired) return ok(toAnswer(before));
    insert.run(id, before.version + 1, at, before.route, before.route_version, retired ? 1 : 0);
    return ok(toAnswer(must(newest.get(id), 'newest')));
  });

  return { keep, retire, list: (): readonly OwnRouteAnswer[] => all.all().map(toAnswer) };
}

function toAnswer({ id, version, written_at, route, retired }: Row): OwnRouteAnswer {
  return { id, version, writtenAt: written_at, route: JSON.parse(route) as Route, retired: retired === 1 };
}
