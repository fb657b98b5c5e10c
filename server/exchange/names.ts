import type { KeptPhotoRow } from './kept-rows.ts';

/** What an exported archive says of itself, and where in it things lie. */
export const EXPORT_FORMAT = 'earnest-still export';
export const EXPORT_VERSION = 1;

export interface ExportManifest {
  readonly format: typeof EXPORT_FORMAT;
  readonly version: typeof EXPORT_VERSION;
  /** The schema of the notebook it was written from: a newer one is not taken. */
  readonly schema: number;
  readonly notebook: string;
  readonly writtenAt: string;
  /** SHA-256 of each file that is read back. */
  readonly files: Readonly<Record<string, string>>;
}

export const at = {
  manifest: 'notebook.json',
  bench: 'bench.json',
  week: 'week.json',
  lessons: 'lessons.json',
  routes: 'routes.json',
  photos: 'photos.json',
  bottle: (id: string) => `bottles/${id}.json`,
  batch: (id: string) => `batches/${id}.json`,
  page: (id: string) => `batches/${id}.md`,
  assay: (id: string) => `assays/${id}.json`,
  readings: (id: string) => `readings/${id}.csv`,
  photo: ({ id, mediaType }: Pick<KeptPhotoRow, 'id' | 'mediaType'>) => `photos/${photoFile(id, mediaType)}`,
} as const;

/** What is read back from an archive; everything else in it is for people, or none of ours. */
export const READ_BACK =
  /^(?:notebook|bench|week|lessons|routes|photos)\.json$|^bottles\/bottle_[\w-]{6,40}\.json$|^batches\/batch_[\w-]{6,40}\.json$|^assays\/assay_[\w-]{6,40}\.json$|^readings\/batch_[\w-]{6,40}\.csv$|^photos\/att_[\w-]{6,40}\.(?:jpg|png|webp)$/;

const ENDINGS: Readonly<Record<string, string>> = { 'image/jpeg': 'jpg', 'image/png': 'png', 'image/webp': 'webp' };

export function photoFile(id: string, mediaType: string): string {
  return `${id}.${ENDINGS[mediaType] ?? 'bin'}`;
}
