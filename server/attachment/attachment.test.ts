import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { PNG, testNotebook } from '../testing/notebook.ts';
import { MOST_PIXELS } from './picture.ts';

/** A JPEG whose header says another size than it has. */
function saysSize(jpeg: Buffer, width: number, height: number): Buffer {
  const frame = jpeg.indexOf(Buffer.from([0xff, 0xc0]));
  const changed = Buffer.from(jpeg);
  changed.writeUInt16BE(height, frame + 5);
  changed.writeUInt16BE(width, frame + 7);
  return changed;
}

async function bench() {
  const { api, putShelf, putBatch } = testNotebook();
  await putShelf();
  const id = await putBatch();
  const put = (name: string, type: string, bytes: Buffer | string, batch = id) =>
    api.put(`/api/attachments/${name}?batch=${batch}`).set('Content-Type', type).send(bytes);
  return { api, id, put };
}

describe('photos', () => {
  it('are kept with their batch and given back', async () => {
    const { api, id, put } = await bench();
    await put('att_photo01', 'image/png', PNG).expect(201);
    await put('att_photo01', 'image/png', PNG).expect(201);
    const back = await api.get('/api/attachments/att_photo01').expect(200);
    expect(back.headers['content-type']).toBe('image/png');
    expect(back.body).toEqual(PNG);
    expect((await api.get(`/api/attachments?batch=${id}`)).body).toEqual({ count: 1, bytes: PNG.length });
    const other = await sharp(PNG).resize(2).png().toBuffer();
    await put('att_photo01', 'image/png', other).expect(409);
  });

  it('that are not photos are refused', async () => {
    const { put } = await bench();
    await put('att_html001', 'image/png', Buffer.from('<html>')).expect(415);
    await put('att_html001', 'text/html', '<html>').expect(415);
    await put('att_html001', 'image/png', PNG, 'nowhere').expect(404);
    await put('..%2f..%2fx', 'image/png', PNG).expect(422);
  });

  it('are what they say they are, whole, and of a size that can be opened', async () => {
    const { put } = await bench();
    const jpeg = await sharp({ create: { width: 90, height: 60, channels: 3, background: '#a63' } })
      .jpeg()
      .toBuffer();
    const wrong = await put('att_kind0001', 'image/png', jpeg).expect(415);
    expect(wrong.body.detail).toContain('another kind');
    const half = await put('att_half0001', 'image/jpeg', jpeg.subarray(0, jpeg.length / 2)).expect(415);
    expect(half.body.detail).toContain('not be whole');
    await put('att_dressed1', 'image/png', Buffer.concat([PNG.subarray(0, 16), Buffer.from('<script>')])).expect(415);
    const bomb = await put('att_bomb0001', 'image/jpeg', saysSize(jpeg, 65_000, 65_000)).expect(413);
    expect(bomb.body.detail).toContain('4225 megapixels');
    expect(bomb.body.detail).toContain(`at most ${MOST_PIXELS / 1e6}`);
    await put('att_good0001', 'image/jpeg', jpeg).expect(201);
  });

  it('have a small one for the log, upright', async () => {
    const { api, put } = await bench();
    // Taken with the camera on its side: the picture lies, and says so.
    const lying = await sharp({ create: { width: 1600, height: 900, channels: 3, background: '#357' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    await put('att_lying001', 'image/jpeg', lying).expect(201);
    const small = await api.get('/api/attachments/att_lying001/small').expect(200);
    expect(await sharp(small.body as Buffer).metadata()).toMatchObject({ format: 'webp', width: 360, height: 640 });
    expect((await api.get('/api/attachments/att_lying001/small')).body).toEqual(small.body);
    await api.get('/api/attachments/att_nothere1/small').expect(404);
  });
});
