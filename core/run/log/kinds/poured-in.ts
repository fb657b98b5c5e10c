import { fields, id, map, nullable, number } from '#base/shape';
import { entryKind } from '../entry-kind.ts';
import { stepKey } from '../step-key.ts';

const valueWithSd = () => fields({ value: number({ min: 0, max: 1e7 }), sd: number({ min: 0, max: 1e7 }) });

/** What came from another batch, as it was then. */
export const pouredIn = entryKind({
  fields: {
    step: stepKey(),
    batchId: id('batch'),
    number: number({ min: 1, whole: true }),
    /** mol by substance. */
    amounts: map(valueWithSd(), 60),
    waterG: valueWithSd(),
    inertG: valueWithSd(),
    extentMol: nullable(valueWithSd()),
  },
  text: (body) => `joined by what came from batch ${body.number}`,
  step: 'begins',
  changes: 'amounts',
});
