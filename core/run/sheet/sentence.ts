import type { Figure } from '#base/figure';

/** A word of a step's sentence: plain text, or a number that opens its working. */
export type TextPart =
  | { readonly is: 'text'; readonly text: string }
  | { readonly is: 'figure'; readonly shown: string; readonly figure: Figure };

/** A quantity as a sentence shows it. */
export interface Named {
  readonly shown: string;
  readonly figure?: Figure;
}

export type Names = Readonly<Record<string, Named>>;

const QUANTITY = /\{([\w.-]+)\}/g;
/** A sentence, up to its stop and the blank behind it. */
const SENTENCE = /[^.!?]*(?:[.!?](?!\s|$)[^.!?]*)*[.!?]?(?:\s+|$)/g;

/**
 * Fills {names}. What stands in [brackets] is left out when a quantity in it is not there, and so is a whole sentence: a
 * sentence never speaks of what is missing. A text of one clause (a title) loses the words from the last small word on.
 */
export function fillTemplate(template: string, names: Names): readonly TextPart[] {
  const bracketed = template.replace(/\[([^\]]*)\]/g, (_, part: string) => (hasAll(part, names) ? part : ''));
  if (hasAll(bracketed, names)) return parts(bracketed, names);
  const sentences = bracketed.match(SENTENCE) ?? [];
  const whole = sentences.filter((each) => each !== '' && hasAll(each, names)).join('');
  return parts((whole === '' ? shortened(bracketed, names) : whole).trimEnd(), names);
}

function hasAll(text: string, names: Names): boolean {
  for (const [, name = ''] of text.matchAll(QUANTITY)) if (!Object.hasOwn(names, name)) return false;
  return true;
}

/** “Boil down to {boil.volume}” without it: “Boil down”. */
function shortened(text: string, names: Names): string {
  let short = text;
  for (const [braces, name = ''] of text.matchAll(QUANTITY)) {
    if (Object.hasOwn(names, name)) continue;
    const at = short.indexOf(braces);
    const head = short.slice(0, at).trimEnd();
    const small = /^(.*?)[,;:]?\s+(?:about|to|of|in|on|below|at|until|with|the|a)$/s;
    let cut = head;
    for (let match = small.exec(cut); match; match = small.exec(cut)) cut = match[1] ?? '';
    const rest = short.slice(at + braces.length);
    // What follows the quantity belongs to it as far as the next comma or stop.
    const stop = rest.replace(QUANTITY, (each) => '_'.repeat(each.length)).search(/[,.;:]/);
    short = `${cut}${stop < 0 ? '' : rest.slice(stop)}`;
  }
  return short.trim();
}

function parts(template: string, names: Names): readonly TextPart[] {
  const found: TextPart[] = [];
  let from = 0;
  for (const match of template.matchAll(QUANTITY)) {
    if (match.index > from) found.push({ is: 'text', text: template.slice(from, match.index) });
    const named = names[match[1] ?? ''];
    if (named) {
      found.push(
        named.figure ? { is: 'figure', shown: named.shown, figure: named.figure } : { is: 'text', text: named.shown },
      );
    }
    from = match.index + match[0].length;
  }
  if (from < template.length) found.push({ is: 'text', text: template.slice(from) });
  return found;
}
