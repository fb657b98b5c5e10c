import type { BenchTask } from '#run/agenda';

/** Where a step of the week is done: at its batch, at the assay station, in the record. */
export function linkOf({ id, batch, step }: Pick<BenchTask, 'id' | 'batch' | 'step'>): string {
  if (step !== '') return `/bench/${batch}?step=${step}`;
  const [kind, of = ''] = id.split(' ');
  return kind === 'assay' ? `/assay/of/${of}` : `/record/${of}`;
}
