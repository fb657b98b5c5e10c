import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { PhotosAnswer } from '#contract/api';
import { request, sendFile } from './client.ts';
import { dropPhotos, keptPhoto, keepPhoto as store } from './outbox-store.ts';

/** What the server takes, bytes and pixels; said before a photo is sent. */
const MOST_BYTES = 12 * 1024 * 1024;
const MOST_PIXELS = 120e6;

/** Photos that this tab holds: also where the device keeps nothing. */
const held = new Map<string, { readonly batchId: string; readonly blob: Blob }>();

/** A sentence on why a file is no photo to keep; empty where it is one. */
export async function photoProblem(file: File): Promise<string> {
  if (!/^image\/(jpeg|png|webp)$/.test(file.type)) return 'Photos are kept as JPEG, PNG or WebP.';
  if (file.size > MOST_BYTES)
    return `This photo has ${Math.ceil(file.size / 1e6)} MB; at most 12 MB are kept. Make it smaller first.`;
  try {
    const { width, height } = await createImageBitmap(file);
    return width * height > MOST_PIXELS
      ? `This photo has ${Math.round((width * height) / 1e6)} megapixels; at most ${MOST_PIXELS / 1e6} are kept.`
      : '';
  } catch {
    return 'This file cannot be opened as a picture; it may not be whole.';
  }
}

/** Keeps a photo on this device until the server has it; its entry goes out after it. */
export async function holdPhoto(id: string, batchId: string, blob: Blob): Promise<void> {
  held.set(id, { batchId, blob });
  try {
    await store({ id, batchId, blob });
  } catch {
    // It is in this tab; that nothing is kept is said by the outbox.
  }
}

/** Sends a photo that is held here; nothing to do where it is the server’s already. */
export async function sendPhoto(id: string): Promise<void> {
  const photo = await photoHere(id);
  if (!photo) return;
  await sendFile('PUT', `/attachments/${id}?batch=${encodeURIComponent(photo.batchId)}`, photo.blob);
}

/** The server has it, or its entry was let go. */
export async function letPhotoGo(id: string): Promise<void> {
  held.delete(id);
  await dropPhotos([id]).catch(() => undefined);
}

async function photoHere(id: string): Promise<{ readonly batchId: string; readonly blob: Blob } | undefined> {
  return held.get(id) ?? (await keptPhoto(id).catch(() => undefined));
}

/** Where a photo of the log is seen: on this device while it waits, else the server’s small one. */
export function usePhotoSource(id: string, waiting: boolean): string | undefined {
  const [own, setOwn] = useState<string | undefined>();
  useEffect(() => {
    if (!waiting) return;
    let url: string | undefined;
    let here = true;
    void photoHere(id).then((photo) => {
      if (!photo || !here) return;
      url = URL.createObjectURL(photo.blob);
      setOwn(url);
    });
    return () => {
      here = false;
      if (url) URL.revokeObjectURL(url);
      setOwn(undefined);
    };
  }, [id, waiting]);
  return waiting ? own : `/api/attachments/${id}/small`;
}

export function usePhotos(batchId: string) {
  return useQuery({
    queryKey: ['photos', batchId],
    queryFn: () => request<PhotosAnswer>('GET', `/attachments?batch=${encodeURIComponent(batchId)}`),
  });
}
