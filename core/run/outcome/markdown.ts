import { sdOf } from '#base/figure';
import { formatFigure, formatNumber } from '#base/units';
import { type Plan, planTitle } from '#run/plan';
import type { TextPart } from '#run/sheet';
import type { RunState, StepState } from '#run/state';

/** A batch as it is reported: where it came from, and where its pictures lie. */
export interface Reported {
  readonly number: number;
  readonly plan: Plan;
  readonly state: RunState;
  /** The path of a photo by its id; undefined where it is not to be had. */
  readonly photo: (attachmentId: string) => string | undefined;
}

/** One batch as Markdown: what it was for, what went in, what came of it, each step and each entry, oldest first. Times are UTC. */
export function batchMarkdown({ number, plan, state, photo }: Reported): string {
  return [
    `# ${plain(planTitle(plan))}`,
    factsOf(number, state),
    outcomeOf(state),
    wentIn(state),
    stepsOf(state.steps),
    entriesOf(state, photo),
    `Route after: ${plain(state.sheet.route.source)}. ± are 95 % bands.`,
  ]
    .filter((part) => part !== '')
    .join('\n\n')
    .concat('\n');
}

function factsOf(number: number, { status, startedAt, finishedAt, sheet, abandonedFor }: RunState): string {
  const when = [startedAt, finishedAt].flatMap((at) => (at ? [instant(at)] : [])).join(' to ');
  const facts = [`Batch ${number}`, status, when, plain(sheet.route.title)].filter((each) => each !== '').join(' · ');
  return abandonedFor ? `${facts}\n\nAbandoned: ${plain(abandonedFor)}` : facts;
}

function outcomeOf({ yield: account, sheet, weighing, hydrate, status }: RunState): string {
  if (account) {
    const lines = [
      `${formatFigure(account.yieldPct.value, sdOf(account.yieldPct))} % yield: ${formatFigure(account.mass.value, sdOf(account.mass))} g of ${formatNumber(account.theory.value, 4)} g that ${plain(account.of)} could give.`,
      plain(weighing.sentence),
      ...(hydrate ? [plain(hydrate.sentence)] : []),
      ...account.explanations.map((each) => `- ${plain(each)}`),
    ];
    return ['## Outcome', ...lines.filter((line) => line !== '')].join('\n\n');
  }
  if (sheet.made && status === 'done') {
    const { strength, pct } = sheet.made;
    return `## Outcome\n\n${formatFigure(strength.value, sdOf(strength))} mol/L, ${formatFigure(pct.value, sdOf(pct))} % by mass.`;
  }
  return '';
}

function wentIn({ sheet }: RunState): string {
  const planned = sheet.additions.map(({ name, limiting, dose, actual }) => [
    `${plain(name)}${limiting ? ' (limits)' : ''}`,
    `${formatNumber(dose.take.value, 4)} ${dose.take.unit}`,
    actual ? `${formatFigure(actual.value, sdOf(actual))} ${actual.unit}` : 'not yet',
  ]);
  const besides = sheet.besides.map(({ name, mass }) => [
    `${plain(name)} (besides)`,
    'not planned',
    `${formatFigure(mass.value, sdOf(mass))} ${mass.unit}`,
  ]);
  return `## What went in\n\n${table(['from', 'planned', 'went in'], [...planned, ...besides])}`;
}

function stepsOf(steps: readonly StepState[]): string {
  const rows = steps.map(({ title, status, skippedFor, finishedAt }) => [
    said(title),
    status === 'skipped' ? `skipped: ${plain(skippedFor ?? '')}` : status,
    finishedAt ? instant(finishedAt) : '',
  ]);
  return `## Steps\n\n${table(['step', 'how it stands', 'finished'], rows)}`;
}

function entriesOf({ log }: RunState, photo: Reported['photo']): string {
  if (log.length === 0) return '## Entries\n\nNothing is entered yet.';
  const lines = [...log].reverse().map((line) => {
    const about = line.giveOrTakeMin > 0 ? ` ± ${formatNumber(line.giveOrTakeMin, 2)} min` : '';
    const text = line.struck ? `~~${plain(line.text)}~~` : plain(line.text);
    const was = line.was && !line.struck ? ` (was: ${plain(line.was)})` : '';
    const why = line.reason && line.reason !== 'struck out' ? ` (${plain(line.reason)})` : '';
    const late = line.late ? `, written ${instant(line.writtenAt)}` : '';
    const path = line.attachmentId === null ? undefined : photo(line.attachmentId);
    const picture = path === undefined ? '' : `\n\n  ![${plain(line.text)}](${path})\n`;
    return `- ${instant(line.at)}${about}: ${text}${was}${why}${late}${picture}`;
  });
  return `## Entries\n\n${lines.join('\n')}`;
}

function table(head: readonly string[], rows: readonly (readonly string[])[]): string {
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;
  return [line(head), line(head.map(() => '---')), ...rows.map(line)].join('\n');
}

const said = (parts: readonly TextPart[]) =>
  plain(parts.map((each) => (each.is === 'text' ? each.text : each.shown)).join(''));

/** “2026-03-14 09:30” */
const instant = (iso: string) => iso.slice(0, 16).replace('T', ' ');

/** What a person typed is text and nothing else: no mark-up, no link, no second line. */
function plain(text: string): string {
  return text
    .replace(/[\r\n]+/g, ' ')
    .replace(/[\\`*_[\]<>|#~!]/g, (mark) => `\\${mark}`)
    .trim();
}
