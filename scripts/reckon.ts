import { type Answer, reckonJson } from '#ask/reckon';
import { formatFigure } from '#base/units';

// One sum on the command line: npm run -s reckon -- [--json] "28% HCl in mol/L"
const args = process.argv.slice(2);
const json = args.includes('--json');
const text = args.filter((arg) => arg !== '--json').join(' ');
const result = reckonJson(text);

if (json) console.log(JSON.stringify(result));
else if ('problem' in result) {
  const [from, to] = result.problem.at;
  console.error(`  ${text}\n  ${' '.repeat(from)}${'^'.repeat(Math.max(1, to - from))}\n${result.problem.message}`);
} else {
  for (const answer of result.answers) console.log(line(answer));
  if (result.note) console.log(result.note);
  for (const { symbol, formula, numbers, result: value, unit } of result.working) {
    console.log(
      `    ${formula ? `${symbol} = ${formula} = ${numbers} = ${value} ${unit}` : `${symbol} = ${value} ${unit}`}`,
    );
  }
  for (const caution of result.cautions) console.log(`! ${caution}`);
}
process.exitCode = 'problem' in result ? 1 : 0;

function line({ label, value, unit, uncertainty }: Answer): string {
  return `${label}: ${formatFigure(value, uncertainty / 2)} ${unit}`.trim();
}
