import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { entryKinds } from '#core/log';
import { techniqueNames } from '#core/technique';

const root = new URL('../', import.meta.url);
const at = (path: string) => new URL(path, root);
const guide = readFileSync(at('CONTRIBUTING.md'), 'utf8');
const PATH = /`((?:core|contract|server|web|demo|docs|scripts)\/[\w./-]*)`/g;

describe('CONTRIBUTING.md', () => {
  it.each([...guide.matchAll(PATH)].map(([, path = '']) => path))('names %s, which is there', (path) =>
    expect(existsSync(at(path)), path).toBe(true),
  );

  it('names every room of the core', () => {
    const rooms = readdirSync(at('core'), { withFileTypes: true }).filter((each) => each.isDirectory());
    for (const { name } of rooms) if (name !== 'testing') expect(guide, name).toMatch(new RegExp(`\\b${name}\\b`));
  });
});

describe('every room and every technique', () => {
  const folders = (path: string) =>
    readdirSync(at(path), { withFileTypes: true }).filter((each) => each.isDirectory() && each.name !== 'testing');

  it.each(folders('core').map(({ name }) => name))('core/%s has a README', (room) =>
    expect(existsSync(at(`core/${room}/README.md`)), room).toBe(true),
  );

  it('has a folder of its own in core and in web', () => {
    for (const name of techniqueNames) {
      for (const file of ['op.ts', 'index.ts', 'README.md'])
        expect(existsSync(at(`core/technique/${name}/${file}`)), `${name}/${file}`).toBe(true);
      expect(existsSync(at(`web/bench/technique/${name}/index.ts`)), name).toBe(true);
    }
  });

  it('is a file of its own, for every kind of entry', () => {
    for (const kind of Object.keys(entryKinds)) expect(existsSync(at(`core/log/kinds/${kind}.ts`)), kind).toBe(true);
  });
});
