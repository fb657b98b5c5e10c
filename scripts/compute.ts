import { text } from 'node:stream/consumers';
import { compute } from '#contract/compute';
import { problemDocument } from '#contract/problems';

// The compute door on the command line: npm run -s compute -- VERB < input.json
const [verb = ''] = process.argv.slice(2);
const typed = await text(process.stdin);
const result = compute(verb, parse(typed));
console.log(JSON.stringify(result.ok ? result.value : { problem: problemDocument(result.problem) }));
process.exitCode = result.ok ? 0 : 1;

function parse(json: string): unknown {
  try {
    return JSON.parse(json);
  } catch {
    return undefined;
  }
}
