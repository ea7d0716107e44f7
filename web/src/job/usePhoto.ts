import { useState } from 'react';
import { board as words } from '../words';
import { sendPictures, takePicture } from './pictures';

/** Takes a photograph of a job: it is kept on this device, and sent when it can be. */
export function usePhoto(job: string): {
  /** Why the last one is not kept, or not taken by the program; empty where all is well. */
  wrong: string;
  /** @param kept Is told its id once it is kept: a line of a picture that is nowhere would be a lie. */
  take: (file: File | undefined, kept: (picture: string) => void) => Promise<void>;
} {
  const [wrong, setWrong] = useState('');
  return {
    wrong,
    take: async (file, kept) => {
      if (!file) return;
      const picture = crypto.randomUUID();
      const taken = await takePicture(job, picture, file);
      if (taken !== 'kept') {
        setWrong(words.photoWrong[taken]);
        return;
      }
      kept(picture);
      setWrong((await sendPictures()) ? words.photoWrong.refused : '');
    },
  };
}
