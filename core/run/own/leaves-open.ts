import type { Route } from '#run/route';

/** What a route does not say, one sentence each: what a person who runs it has to know without it. */
export function leavesOpen(route: Route): readonly string[] {
  const open: string[] = [];
  const titles = (steps: Route['steps']) => steps.map(({ title }) => `“${plain(title)}”`).join(', ');
  const noEnd = route.steps.filter(({ op, until }) => !ENDS_BY_ITSELF.has(op.do) && until.trim() === '');
  if (noEnd.length > 0) open.push(`No observation says when these are done: ${titles(noEnd)}.`);
  const hot = route.steps.filter(({ op, ceilingC }) => HEATED.has(op.do) && ceilingC === null);
  if (hot.length > 0) open.push(`No ceiling of temperature is given for ${titles(hot)}.`);
  if (route.makes.kind === 'solid' && route.drying === null)
    open.push('It does not say how warm the product may be dried.');
  if (route.identity.length === 0)
    open.push('No test of identity: nothing in it shows that the product is what it should be.');
  if (route.storage.trim() === '') open.push('It does not say how the product is kept.');
  if (route.source.trim() === '' || route.source === 'your own') open.push('No source is named.');
  const unpaced = route.steps.filter(({ op, adding }) => op.do === 'react' && adding === null);
  if (unpaced.length > 0) open.push(`How fast it reacts is not said at ${titles(unpaced)}.`);
  return open;
}

const ENDS_BY_ITSELF: ReadonlySet<string> = new Set(['add', 'plain', 'make-up', 'filter', 'decant']);
const HEATED: ReadonlySet<string> = new Set(['boil-down', 'dissolve', 'dry-up', 'fuse', 'hold']);

/** A title without its quantities. */
function plain(title: string): string {
  return title
    .replace(/\[[^\]]*\]/g, '')
    .replace(/\{[^}]*\}(?: of )?/g, '')
    .replace(/\s+/g, ' ')
    .trim();
}
