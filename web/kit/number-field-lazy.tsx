import { type ComponentProps, lazy, Suspense } from 'react';

const Lazy = lazy(async () => ({ default: (await import('./number-field.tsx')).NumberField }));

/** The number field where the first page may need it: Ant Design's input comes only when it is opened. */
export function NumberField(props: ComponentProps<typeof Lazy>) {
  return (
    <Suspense fallback={<span className="quiet small">…</span>}>
      <Lazy {...props} />
    </Suspense>
  );
}
