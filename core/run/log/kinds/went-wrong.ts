import { note, nullable, number, one, text } from '#base/shape';
import { formatPlain } from '#base/units';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

/** What can go wrong at a bench, in the words of who it happened to. */
export const mishaps = [
  'it spilled',
  'it splashed me',
  'I breathed it',
  'glass broke',
  'it was swallowed',
  'it caught fire',
] as const;

/** Something went wrong: what, how much of it is out, where, and what was done. */
export const wentWrong = entryKind({
  fields: {
    step: stepKey(),
    what: one(...mishaps),
    vessel: text(20),
    /** Part of what was in the vessel that is out of it, 0 to 1; null where it is not known. */
    share: nullable(number({ min: 0, max: 1 })),
    where: note(120),
    skin: one('no', 'yes', 'not said'),
    eye: one('no', 'yes', 'not said'),
    done: note(500),
  },
  text: ({ what, share, where, skin, eye, done }) =>
    [
      what,
      share === null || share === 0 ? '' : `about ${formatPlain(share * 100, 2)} % of it`,
      where === '' ? '' : `on ${where}`,
      skin === 'yes' ? 'on skin' : '',
      eye === 'yes' ? 'in the eye' : '',
      done,
    ]
      .filter((each) => each !== '')
      .join(', '),
  step: 'none',
  changes: 'amounts',
});
