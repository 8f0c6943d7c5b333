/** Pictures on their way: made small, kept on the device until the server has them. */
import type { Api, Fact, Seen } from '../api/client';
import { store } from './store';

/** The longer side, and how many bytes a picture takes at most: the server takes a little more. */
const LONGEST_PX = 1280;
const MOST_BYTES = 300_000;
const QUALITIES = [0.75, 0.6, 0.45, 0.3];

/** Where the browser gives no store. */
const loose = new Map<string, ArrayBuffer>();

/** A picture as it is shown before anybody keeps it. */
export interface Shot {
  id: string;
  jpeg: ArrayBuffer;
  /** For the page. */
  url: string;
}

/** As small as is needed, turned as it was held, without what the camera adds of place and time. */
export async function shrink(file: Blob): Promise<Shot> {
  const picture = await createImageBitmap(file);
  const scale = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(picture.width * scale));
  canvas.height = Math.max(1, Math.round(picture.height * scale));
  const pen = canvas.getContext('2d')!;
  // a JPEG knows nothing of what shines through
  pen.fillStyle = '#fff';
  pen.fillRect(0, 0, canvas.width, canvas.height);
  pen.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  let jpeg = await bytes(canvas, QUALITIES[0]);
  for (const q of QUALITIES.slice(1))
    if (jpeg.byteLength > MOST_BYTES) jpeg = await bytes(canvas, q);
  return { id: await hash(jpeg), jpeg, url: urlOf(jpeg) };
}

function bytes(canvas: HTMLCanvasElement, quality: number): Promise<ArrayBuffer> {
  return new Promise((done, fail) =>
    canvas.toBlob(
      (b) => (b ? done(b.arrayBuffer()) : fail(new Error('no picture'))),
      'image/jpeg',
      quality,
    ),
  );
}

async function hash(of: ArrayBuffer): Promise<string> {
  const sha = new Uint8Array(await crypto.subtle.digest('SHA-256', of));
  return [...sha].map((b) => b.toString(16).padStart(2, '0')).join('');
}

function urlOf(jpeg: ArrayBuffer): string {
  let text = '';
  for (const b of new Uint8Array(jpeg)) text += String.fromCharCode(b);
  return `data:image/jpeg;base64,${btoa(text)}`;
}

export async function keepPhoto({ id, jpeg }: Shot): Promise<void> {
  loose.set(id, jpeg);
  try {
    await (await store())?.put('photos', jpeg, id);
    loose.delete(id);
  } catch {
    // the device is full: it waits as long as the page is open
  }
}

async function found(id: string): Promise<ArrayBuffer | undefined> {
  return loose.get(id) ?? (await (await store())?.get('photos', id));
}

/** A picture that waits on this device, for the page; null where it does not. */
export async function waitingPhoto(id: string): Promise<string | null> {
  const jpeg = await found(id);
  return jpeg ? urlOf(jpeg) : null;
}

/** Sends the pictures that records name and that wait here: they have to be there first. */
export async function sendPhotos(api: Api, planId: string, records: Seen[]): Promise<void> {
  for (const { fact } of records) {
    const of = fact as Fact;
    if (of.kind !== 'PHOTO_TAKEN') continue;
    const jpeg = await found(of.photoId);
    if (!jpeg) continue;
    await api.putPhoto(planId, of.photoId, new Blob([jpeg], { type: 'image/jpeg' }));
  }
}

/** Forgets the pictures of records that the server has, or that were thrown away. */
export async function dropPhotos(records: Seen[]): Promise<void> {
  for (const { fact } of records) {
    const of = fact as Fact;
    if (of.kind !== 'PHOTO_TAKEN') continue;
    loose.delete(of.photoId);
    await (await store())?.delete('photos', of.photoId);
  }
}
