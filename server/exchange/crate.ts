import type { KeptNotebook } from './kept-rows.ts';
import { at, photoFile } from './names.ts';

/** What the archive holds as RO-Crate 1.1 (JSON-LD), so that other tools can find their way in it. */
export function crateOf(kept: KeptNotebook, writtenAt: string, titles: ReadonlyMap<string, string>): object {
  const file = (path: string, name: string, encodingFormat: string) => ({
    '@id': path,
    '@type': 'File',
    name,
    encodingFormat,
  });
  const pages = kept.batches.flatMap(({ id, number }) => [
    file(at.page(id), `Batch ${number}: ${titles.get(id) ?? ''}`.replace(/: $/, ''), 'text/markdown'),
    file(at.batch(id), `Plan and entries of batch ${number}`, 'application/json'),
  ]);
  const parts = [
    file(at.manifest, 'What this archive is', 'application/json'),
    file('shelf.csv', 'Every bottle, a line each', 'text/csv'),
    file('record.csv', 'Every batch, a line each', 'text/csv'),
    ...pages,
    ...kept.bottles.map(({ id }) => file(at.bottle(id), 'A bottle and what happened to it', 'application/json')),
    ...kept.assays.map(({ id }) => file(at.assay(id), 'An assay and its readings', 'application/json')),
    ...[...kept.readings.keys()].map((id) => file(at.readings(id), 'What instruments showed', 'text/csv')),
    ...kept.photos.map(({ id, mediaType }) => file(at.photo({ id, mediaType }), photoFile(id, mediaType), mediaType)),
  ];
  return {
    '@context': 'https://w3id.org/ro/crate/1.1/context',
    '@graph': [
      {
        '@id': 'ro-crate-metadata.json',
        '@type': 'CreativeWork',
        conformsTo: { '@id': 'https://w3id.org/ro/crate/1.1' },
        about: { '@id': './' },
      },
      {
        '@id': './',
        '@type': 'Dataset',
        name: 'A bench notebook',
        description: 'Bottles, batches, assays and lessons of a home laboratory, with their pictures and readings.',
        datePublished: writtenAt,
        hasPart: parts.map(({ '@id': id }) => ({ '@id': id })),
      },
      ...parts,
    ],
  };
}
