import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { examples, reckonJson } from '#ask/reckon';
import { compute } from './compute.ts';
import { verbs } from './verbs.ts';

const read = (name: string) => readFileSync(new URL(`../docs/${name}`, import.meta.url), 'utf8');

describe('docs/reckoner.md', () => {
  const rows = [...read('reckoner.md').matchAll(/^\| `(.+?)` *\| ([\d.]+)(?: (\S.*?))? *\|$/gm)].map(
    (row) => [row[1]!, Number(row[2]), row[3] ?? ''] as const,
  );

  it('shows every example that the field offers', () => {
    expect(rows.length).toBeGreaterThan(15);
    for (const example of examples) expect(rows.map(([line]) => line)).toContain(example);
  });

  it.each(rows)('%s is %d %s', (line, value, unit) => {
    const result = reckonJson(line);
    if ('problem' in result) throw new Error(result.problem.message);
    expect(Number(result.answers[0]!.value.toPrecision(4))).toBe(value);
    expect(result.answers[0]!.unit).toBe(unit);
  });
});

describe('docs/compute.md', () => {
  const text = read('compute.md');
  const blocks = [...text.matchAll(/```json (\w+)\n([\s\S]*?)```/g)].map(
    (block) => [block[1]!, JSON.parse(block[2]!) as unknown] as const,
  );

  it('shows of every verb the input that it answers, or says that it is too long', () => {
    for (const { name, example } of Object.values(verbs)) {
      expect(text).toContain(`## ${name}`);
      const shown = blocks.find(([verb]) => verb === name)?.[1];
      expect(shown ?? null, name).toEqual(example);
    }
  });

  it.each(blocks)('the example of %s is answered', (verb, input) =>
    expect(compute(verb, input)).toMatchObject({ ok: true }),
  );
});
