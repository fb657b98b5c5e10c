import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { entryKinds } from '#run/log';
import { techniqueNames } from '#run/technique';

const root = new URL('../', import.meta.url);
const at = (path: string) => new URL(path, root);
const guide = readFileSync(at('CONTRIBUTING.md'), 'utf8');
const WINGS = ['base', 'matter', 'model', 'run', 'ask'];
const PATH = /`((?:core|contract|server|web|demo|docs|scripts)\/[\w./-]*)`/g;

describe('CONTRIBUTING.md', () => {
  it.each([...guide.matchAll(PATH)].map(([, path = '']) => path))('names %s, which is there', (path) =>
    expect(existsSync(at(path)), path).toBe(true),
  );

  it('names every room of the core', () => {
    const rooms = WINGS.flatMap((wing) => readdirSync(at(`core/${wing}`), { withFileTypes: true }));
    for (const { name } of rooms.filter((each) => each.isDirectory()))
      expect(guide, name).toMatch(new RegExp(`\\b${name}\\b`));
  });
});

describe('every room and every technique', () => {
  const folders = (path: string) =>
    readdirSync(at(path), { withFileTypes: true }).filter((each) => each.isDirectory() && each.name !== 'testing');

  it('of the core stands in one of five wings', () => {
    expect(
      folders('core')
        .map(({ name }) => name)
        .sort(),
    ).toEqual([...WINGS].sort());
  });

  it.each(WINGS.flatMap((wing) => [wing, ...folders(`core/${wing}`).map(({ name }) => `${wing}/${name}`)]))(
    'core/%s has a README',
    (room) => expect(existsSync(at(`core/${room}/README.md`)), room).toBe(true),
  );

  it.each(['web', 'server'].flatMap((part) => folders(part).map(({ name }) => `${part}/${name}`)))(
    '%s has a README, where it has more than three files',
    (room) => {
      const files = readdirSync(at(room));
      if (files.length > 3 && room !== 'web/public') expect(files, room).toContain('README.md');
    },
  );

  it('of the core decides nothing by how an id or a sentence begins or ends', () => {
    // The Reckoner reads what people type; a blank of an assay is so by its key.
    const reads = /^(?:ask\/|model\/assay\/record\/fold\.ts$)/;
    const found = readdirSync(at('core'), { recursive: true })
      .map(String)
      .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !reads.test(name))
      .filter((name) => /\.(?:endsWith|startsWith)\('[a-z-]+'\)/.test(readFileSync(at(`core/${name}`), 'utf8')));
    expect(found).toEqual([]);
  });

  it('has a folder of its own in core and in web', () => {
    for (const name of techniqueNames) {
      for (const file of ['op.ts', 'index.ts', 'README.md'])
        expect(existsSync(at(`core/run/technique/${name}/${file}`)), `${name}/${file}`).toBe(true);
      expect(existsSync(at(`web/bench/technique/${name}/index.ts`)), name).toBe(true);
    }
  });

  it('is a file of its own, for every kind of entry', () => {
    for (const kind of Object.keys(entryKinds))
      expect(existsSync(at(`core/run/log/kinds/${kind}.ts`)), kind).toBe(true);
  });
});

describe('the interface', () => {
  const files = readdirSync(at('web'), { recursive: true })
    .map(String)
    .filter((name) => /\.(css|tsx?)$/.test(name) && !name.startsWith('theme/') && !/\.test\.tsx?$/.test(name));

  it('takes every colour from the theme', () => {
    for (const name of files) {
      const text = readFileSync(at(`web/${name}`), 'utf8');
      expect(text.match(/#[0-9a-f]{6}\b|\brgba?\(|\bhsla?\(/i)?.[0], name).toBeUndefined();
    }
  });

  it('binds a label to its control in one place', () => {
    // The lines one types into at once are forms of their own.
    const lines = [
      'kit/field.tsx',
      'plan/plan-page.tsx',
      'plan/chain-page.tsx',
      'plan/own-page.tsx',
      'planning/uncertainty.tsx',
      'shell/reckoner.tsx',
      'shelf/label-line.tsx',
    ];
    for (const name of files)
      if (readFileSync(at(`web/${name}`), 'utf8').includes('htmlFor')) expect(lines).toContain(name);
  });

  it('styles each station within itself', () => {
    const sheets = {
      shelf: 'shelf/shelf.css',
      plan: 'planning/planning.css',
      bench: 'bench/bench.css',
      record: 'record/record.css',
    };
    for (const [station, file] of Object.entries(sheets)) {
      const css = readFileSync(at(`web/${file}`), 'utf8').replace(/\/\*[\s\S]*?\*\//g, '');
      expect(css.trim().startsWith(`[data-station="${station}"] {`), station).toBe(true);
      expect(css.trim().endsWith('}')).toBe(true);
    }
  });
});
