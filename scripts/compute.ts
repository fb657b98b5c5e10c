import { createInterface } from 'node:readline';
import { text } from 'node:stream/consumers';
import { compute } from '#contract/compute';
import { problemDocument } from '#contract/problems';

// The compute door on the command line: npm run -s compute -- VERB < input.json
// With --lines, one JSON input a line in and one JSON result a line out, refusals too, in one process.
const args = process.argv.slice(2);
const verb = args.find((arg) => !arg.startsWith('--')) ?? '';

if (args.includes('--lines')) {
  for await (const line of createInterface({ input: process.stdin, crlfDelay: Number.POSITIVE_INFINITY })) {
    if (line.trim() !== '') console.log(answer(line).json);
  }
} else {
  const { json, ok } = answer(await text(process.stdin));
  console.log(json);
  process.exitCode = ok ? 0 : 1;
}

function answer(typed: string): { json: string; ok: boolean } {
  let input: unknown;
  try {
    input = JSON.parse(typed);
  } catch {
    const message = 'The input cannot be read as JSON.';
    return {
      json: JSON.stringify({ problem: { ...problemDocument({ code: 'not-json', message }), message } }),
      ok: false,
    };
  }
  const result = compute(verb, input);
  if (result.ok) return { json: JSON.stringify(result.value), ok: true };
  // `message` beside `detail`: the same sentence under the name the Reckoner uses.
  const { message } = result.problem;
  return { json: JSON.stringify({ problem: { ...problemDocument(result.problem), message } }), ok: false };
}
