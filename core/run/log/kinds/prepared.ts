import { fields, list, note, text } from '#base/shape';
import { entryKind } from '../entry-kind.ts';

/** What was seen to before starting, on a day: each thing that was, and each that was not with why. */
export const prepared = entryKind({
  fields: {
    seenTo: list(text(300), 30),
    left: list(fields({ says: text(300), why: note(200) }), 30),
  },
  text: ({ seenTo, left }) =>
    left.length === 0
      ? `before starting: all ${seenTo.length} seen to`
      : `before starting: ${seenTo.length} seen to, ${left.length} not`,
  step: 'none',
  changes: 'record',
});
