import { describe, expectTypeOf, it } from 'vitest';
import { fields, flag, list, note, nullable, number, type Of, one, optional, tagged, text } from './index.ts';

const reading = tagged('is', { exact: { value: number(), unit: text(20, 0) }, word: { text: text(200) } });
const entry = fields({ step: text(60), role: nullable(text(40)), why: note(500), late: optional(flag()), reading });

describe('the type that a shape describes', () => {
  it('has its fields, what may be null, and what may be left out', () => {
    expectTypeOf<Of<typeof entry>>().toMatchObjectType<{
      readonly step: string;
      readonly role: string | null;
      readonly why: string;
      readonly late?: boolean | undefined;
    }>();
    expectTypeOf<Of<typeof reading>>().toEqualTypeOf<
      | { readonly is: 'exact'; readonly value: number; readonly unit: string }
      | { readonly is: 'word'; readonly text: string }
    >();
  });

  it('keeps the words of a choice', () => {
    const unit = list(one('g', 'mL'), 3);
    expectTypeOf<Of<typeof unit>>().toEqualTypeOf<readonly ('g' | 'mL')[]>();
  });
});
