import { createContext, type ReactNode, useContext } from 'react';

/** A form whose fields may hold something that is not entered yet. */
export interface TypedForm {
  readonly isTyped: () => boolean;
  readonly enter: () => void;
}

/** The forms of one place: what is typed into one is entered before the place is left behind. */
export class TypedEntries {
  /** Entries made here so far. */
  made = 0;
  private readonly forms = new Set<TypedForm>();

  /** Adds a form; what it gives takes it away again. */
  add(form: TypedForm): () => void {
    this.forms.add(form);
    return () => this.forms.delete(form);
  }

  /** Enters what is typed; false where some of it was refused, or is asked about first. */
  enterTyped(): boolean {
    return [...this.forms].every((form) => {
      if (!form.isTyped()) return true;
      const before = this.made;
      form.enter();
      return this.made > before;
    });
  }
}

const Here = createContext<TypedEntries | null>(null);

export const useTypedEntries = () => useContext(Here);

export function WithTypedEntries({ entries, children }: { entries: TypedEntries; children: ReactNode }) {
  return <Here.Provider value={entries}>{children}</Here.Provider>;
}
