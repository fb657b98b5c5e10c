import type { Figure } from '#core/figure';

/** A word of a step's sentence: plain text, or a number that opens its working. */
export type TextPart =
  | { readonly is: 'text'; readonly text: string }
  | { readonly is: 'figure'; readonly shown: string; readonly figure: Figure };

export interface Named {
  readonly shown: string;
  readonly figure?: Figure;
}

/** Fills {names} from the sheet; a name that the sheet does not hold is a slip in the route and throws. */
export function fillTemplate(template: string, names: Readonly<Record<string, Named>>): readonly TextPart[] {
  const parts: TextPart[] = [];
  let from = 0;
  for (const match of template.matchAll(/\{([\w.-]+)\}/g)) {
    if (match.index > from) parts.push({ is: 'text', text: template.slice(from, match.index) });
    const named = names[match[1]!];
    if (!named) throw new Error(`the sheet has no quantity “${match[1]}”`);
    parts.push(
      named.figure ? { is: 'figure', shown: named.shown, figure: named.figure } : { is: 'text', text: named.shown },
    );
    from = match.index + match[0].length;
  }
  if (from < template.length) parts.push({ is: 'text', text: template.slice(from) });
  return parts;
}
