const { heights } = require('./scripts/lib/room-order.cjs');

/** A room of the core reaches no room of its own height or above. */
const upwards = heights.map((rooms, i) => ({
  name: `core-order-${rooms.join('-').replaceAll('/', '.')}`,
  severity: 'error',
  from: { path: `^core/(${rooms.join('|')})/` },
  to: { path: `^core/(${heights.slice(i).flat().join('|')})/`, pathNot: '^core/$1/' },
}));
/** A room that stands in no wing's order would be held to nothing. */
const unplaced = {
  name: 'core-room-in-order',
  severity: 'error',
  from: { path: '^core/(?!testing/)', pathNot: `^core/(${heights.flat().join('|')})/` },
  to: {},
};
const { readFileSync } = require('node:fs');

/** Web: whatever the router leads to is a station; a station reaches no other, and what stations share lies below them. */
const stations = new Set(
  [...readFileSync(`${__dirname}/web/app.tsx`, 'utf8').matchAll(/(?:import\(|from )'\.\/([a-z]+)\/[a-z-]+\.tsx'/g)].map(
    ([, folder]) => folder,
  ),
);
if (stations.size < 8) throw new Error('the router of web/app.tsx could not be read: the stations are not known');
const STATIONS = [...stations].join('|');

/** The rooms and the arrows between them: core <- contract <- server, core <- contract <- web. */
module.exports = {
  forbidden: [
    ...upwards,
    unplaced,
    {
      name: 'no-station-to-station',
      severity: 'error',
      from: { path: `^web/(${STATIONS})/` },
      to: { path: `^web/(${STATIONS}|shell)/`, pathNot: '^web/$1/' },
    },
    {
      name: 'shared-below-stations',
      severity: 'error',
      from: { path: '^web/(kit|parts|run|worker|api|theme|planning|own|fits|models)/' },
      to: { path: `^web/(${STATIONS}|shell)/` },
    },
    {
      name: 'kit-alone',
      comment: 'Fields and forms know no run and no server.',
      severity: 'error',
      from: { path: '^web/kit/' },
      to: { path: '^web/(?!kit/)' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-alone',
      severity: 'error',
      from: { path: '^core/' },
      to: { pathNot: '^core/|\\.json$' },
    },
    {
      name: 'contract-on-core',
      severity: 'error',
      from: { path: '^contract/' },
      to: { path: '^(server|web|demo|e2e|bench)/' },
    },
    { name: 'server-not-web', severity: 'error', from: { path: '^server/' }, to: { path: '^(web|demo|e2e|bench)/' } },
    { name: 'web-not-server', severity: 'error', from: { path: '^web/' }, to: { path: '^(server|demo|e2e|bench)/' } },
    {
      name: 'no-yup-in-worker',
      comment: 'The worker computes on values the door has already checked; yup would only weigh it down.',
      severity: 'error',
      from: { path: '^web/worker/compute\\.worker\\.js$' },
      to: { path: 'node_modules/yup', reachable: true },
    },
    {
      name: 'faces-only',
      comment: 'A room of the core is entered through its index.ts.',
      severity: 'error',
      from: { path: '^(contract|server|web|demo)/' },
      to: { path: '^core/[^/]+/[^/]+/(?!index\\.js$)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.(css|woff2|svg)$' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'node', 'default'],
      extensions: ['.js', '.mjs', '.cjs', '.json'],
    },
  },
};
