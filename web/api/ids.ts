import { nanoid } from 'nanoid';

/** A new id with a readable prefix, made here so that a retry is harmless. */
export function newId(prefix: 'bottle' | 'batch' | 'ev' | 'timer' | 'step' | 'att' | 'lesson' | 'assay'): string {
  return `${prefix}_${nanoid(14)}`;
}
