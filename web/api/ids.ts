import { nanoid } from 'nanoid';
import { useMemo, useRef } from 'react';

type Prefix = 'bottle' | 'own' | 'batch' | 'ev' | 'timer' | 'step' | 'att' | 'lesson' | 'assay' | 'nt';

/** A new id with a readable prefix, made here so that a retry is harmless. */
export function newId(prefix: Prefix): string {
  return `${prefix}_${nanoid(14)}`;
}

/** Ids that stay until the server has said that it wrote what they name. */
export interface KeptIds {
  readonly of: (prefix: Prefix, key?: string) => string;
  readonly acknowledged: () => void;
}

/** What is sent again after a lost answer has the id it had, and doubles nothing; the next thing gets one of its own. */
export function useKeptIds(): KeptIds {
  const ids = useRef(new Map<string, string>());
  return useMemo(
    () => ({
      of: (prefix, key = '') => {
        const name = `${prefix} ${key}`;
        const id = ids.current.get(name) ?? newId(prefix);
        ids.current.set(name, id);
        return id;
      },
      acknowledged: () => ids.current.clear(),
    }),
    [],
  );
}
