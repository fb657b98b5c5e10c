import { createHash } from 'node:crypto';
import { strFromU8, unzipSync } from 'fflate';
import { newestSchema } from '../db/open.ts';
import { at, EXPORT_FORMAT, EXPORT_VERSION, type ExportManifest, READ_BACK } from './names.ts';

/** More than this unpacked is no notebook of a bench, bytes; and more files than it has. */
const MOST_BYTES = 1024 ** 3;
const MOST_FILES = 50_000;

/** An archive of an export that was looked through: the files that are read back, each as it says it is. Throws a sentence. */
export function openExport(archive: Uint8Array): {
  readonly manifest: ExportManifest;
  readonly files: ReadonlyMap<string, Uint8Array>;
} {
  const unpacked = unpack(archive);
  const manifest = manifestOf(unpacked.get(at.manifest));
  if (manifest.version > EXPORT_VERSION || manifest.schema > newestSchema())
    throw new Error(
      'This export was written by a newer Earnest Still than this one: bring this one up first, then import it.',
    );
  const files = new Map<string, Uint8Array>();
  for (const [name, sum] of Object.entries(manifest.files)) {
    const bytes = unpacked.get(name);
    if (!bytes || createHash('sha256').update(bytes).digest('hex') !== sum)
      throw new Error(`The export is not whole: ${name.slice(0, 120)} is missing or was changed.`);
    files.set(name, bytes);
  }
  return { manifest, files };
}

function unpack(archive: Uint8Array): ReadonlyMap<string, Uint8Array> {
  let bytes = 0;
  let count = 0;
  let tooLarge = false;
  try {
    const all = unzipSync(archive, {
      filter: ({ name, originalSize }) => {
        // Names that lead out of the archive, and all that is not ours, are never unpacked.
        if (!READ_BACK.test(name) || tooLarge) return false;
        bytes += originalSize;
        count += 1;
        tooLarge = bytes > MOST_BYTES || count > MOST_FILES;
        return !tooLarge;
      },
    });
    if (!tooLarge) return new Map(Object.entries(all));
  } catch {
    throw new Error('This is no archive that can be opened: an export is the .zip that Earnest Still wrote.');
  }
  throw new Error('This archive is larger than any notebook: nothing of it was taken.');
}

function manifestOf(bytes: Uint8Array | undefined): ExportManifest {
  if (!bytes)
    throw new Error(
      'This is no export of Earnest Still: it does not say what it is. (A backup is put back by restoring it.)',
    );
  const read = jsonOf(bytes, at.manifest) as Partial<ExportManifest>;
  const sound =
    read?.format === EXPORT_FORMAT &&
    Number.isInteger(read.version) &&
    Number.isInteger(read.schema) &&
    typeof read.files === 'object' &&
    read.files !== null;
  if (!sound) throw new Error('This is no export of Earnest Still: it does not say what it is.');
  return read as ExportManifest;
}

/** A file of the archive as JSON. Throws a sentence that names it. */
export function jsonOf(bytes: Uint8Array, name: string): unknown {
  try {
    return JSON.parse(strFromU8(bytes));
  } catch {
    throw new Error(`${name} in this export cannot be read: nothing of it was taken.`);
  }
}
