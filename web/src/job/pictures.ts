import { ownFetch } from '../own/session';
import { dropPicture, keepPicture, picturesLeft } from './device';
import { tryAgain } from './sending';

/** Longer side of what is kept, pixels: enough to see a crack, small enough to send from a garden. */
const LONGEST = 1280;
const QUALITY = 0.8;

/** Scaled down and drawn anew: what a camera writes beside a picture, its place too, stays behind. */
async function scaled(file: Blob): Promise<Blob> {
  const image = await createImageBitmap(file);
  const by = Math.min(1, LONGEST / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(image.width * by));
  canvas.height = Math.max(1, Math.round(image.height * by));
  const context = canvas.getContext('2d');
  if (!context) throw new Error('this browser does not draw');
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  image.close();
  return new Promise((done, fail) => {
    canvas.toBlob(
      (b) => {
        if (b) done(b);
        else fail(new Error('this browser does not write pictures'));
      },
      'image/jpeg',
      QUALITY,
    );
  });
}

/** Where the program has a picture of a job. */
export const placeOf = (job: string, picture: string): string => `/api/jobs/${job}/pictures/${picture}`;

const RETRY_MS = 4_000;

let sending = false;
let again: ReturnType<typeof setTimeout> | undefined;

/** Of those that wait, what the program would refuse again: they stay on this device. */
const refused = new Set<string>();

/**
 * Sends what waits on this device; each goes from there only when the program has it.
 * @returns Whether the program refuses any of them: their job is gone, or its album full.
 */
export async function sendPictures(): Promise<boolean> {
  if (sending) return refused.size > 0;
  sending = true;
  clearTimeout(again);
  const later = () => {
    again = setTimeout(() => void sendPictures(), RETRY_MS);
  };
  try {
    for (const { id, job, image } of await picturesLeft()) {
      if (refused.has(id)) continue;
      const answer = await ownFetch(placeOf(job, id), {
        method: 'PUT',
        body: image,
        headers: { 'Content-Type': 'image/jpeg' },
      });
      if (answer.ok) await dropPicture(id);
      else if (tryAgain(answer.status)) {
        later();
        break;
      } else refused.add(id);
    }
  } catch {
    later(); // no connection
  } finally {
    sending = false;
  }
  return refused.size > 0;
}

/** What came of taking a photograph. */
export type Taken = 'kept' | 'unreadable' | 'notKept';

/** Keeps a photograph on this device; it is then to be sent. */
export async function takePicture(job: string, picture: string, file: Blob): Promise<Taken> {
  const image = await scaled(file).catch(() => null);
  if (image === null) return 'unreadable';
  return (await keepPicture({ id: picture, job, image })) ? 'kept' : 'notKept';
}
