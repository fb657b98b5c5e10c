import type { AssayEntry } from '#model/assay';
import type { RunEvent } from '#run/log';

/** An entry on its way to the server. It stays on this device until the server has said it is written. */
export type Outgoing =
  | { readonly of: 'batches'; readonly batchId: string; readonly event: RunEvent }
  | { readonly of: 'assays'; readonly batchId: string; readonly event: AssayEntry };
