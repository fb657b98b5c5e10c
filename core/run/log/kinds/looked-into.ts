import { note, one, text } from '#base/shape';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

/** A cause of a surprise was looked into: it was this, or it was not. */
export const lookedInto = entryKind({
  fields: {
    step: stepKey(),
    observation: text(80),
    cause: text(300),
    verdict: one('it was this', 'it was not this'),
    note: note(500),
  },
  text: ({ cause, verdict, note: said }) => `surprise looked into: ${cause}: ${verdict}${said ? `; ${said}` : ''}`,
  step: 'none',
  changes: 'record',
});
