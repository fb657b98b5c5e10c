import { id, note, optional } from '#base/shape';
import { entryKind } from '../entry-kind.ts';
import { hexColour } from '../hex-colour.ts';
import { stepKey } from '../step-key.ts';

export const photographed = entryKind({
  fields: {
    step: stepKey(),
    attachmentId: id('att'),
    caption: note(300),
    /** What was seen under a grey card. */
    colour: optional(hexColour()),
  },
  text: ({ caption }) => (caption === '' ? 'photo' : `photo: ${caption}`),
  step: 'begins',
  changes: 'record',
});
