import type { ProblemDocument } from '#contract/problems';
import { Away, Refused } from './client.ts';

/** Sends a photo’s bytes; the entry that shows it is made after. */
export async function putPhoto(id: string, batchId: string, file: File): Promise<void> {
  let response: Response;
  try {
    response = await fetch(`/api/attachments/${id}?batch=${encodeURIComponent(batchId)}`, {
      method: 'PUT',
      headers: { 'Content-Type': file.type || 'application/octet-stream' },
      body: file,
    });
  } catch {
    throw new Away('The notebook’s server does not answer.');
  }
  if (!response.ok) throw new Refused((await response.json()) as ProblemDocument);
}
