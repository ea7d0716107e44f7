import { dropPicture, keepPicture, picturesLeft } from './device';

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

/** Sends what waits on this device; each goes from there only when the program has it, or will never take it. */
export async function sendPictures(): Promise<void> {
  if (sending) return;
  sending = true;
  clearTimeout(again);
  const later = () => {
    again = setTimeout(() => void sendPictures(), RETRY_MS);
  };
  try {
    for (const { id, job, image } of await picturesLeft()) {
      const answer = await fetch(placeOf(job, id), {
        method: 'PUT',
        body: image,
        headers: { 'Content-Type': 'image/jpeg' },
      });
      // A job that is gone, an album that is full: sent again it would be refused again.
      if (answer.ok || (answer.status >= 400 && answer.status < 500 && answer.status !== 429)) {
        await dropPicture(id);
      } else {
        later();
        return;
      }
    }
  } catch {
    later(); // no connection
  } finally {
    sending = false;
  }
}

/** Keeps a photograph, and sends it when it can. @throws Where it cannot be read as a picture. */
export async function takePicture(job: string, picture: string, file: Blob): Promise<void> {
  const image = await scaled(file);
  await keepPicture({ id: picture, job, image });
  void sendPictures();
}
