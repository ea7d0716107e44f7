import { useRef, useState } from 'react';
import { sendPictures, takePicture } from '../job/pictures';
import { board as words } from '../words';
import { useBoard } from './session';

/** Takes a photograph, by the camera of a phone or from a file; there is none of a day that is only played. */
export function PhotoKey() {
  const { job, tell, pour } = useBoard();
  const input = useRef<HTMLInputElement>(null);
  const [wrong, setWrong] = useState('');
  if (job === null) return null;
  const take = async (file: File | undefined) => {
    if (!file) return;
    const picture = crypto.randomUUID();
    const taken = await takePicture(job, picture, file);
    // A line of a picture that is nowhere would be a lie.
    if (taken !== 'kept') {
      setWrong(words.photoWrong[taken]);
      return;
    }
    tell({ kind: 'photo', picture, pour });
    setWrong((await sendPictures()) ? words.photoWrong.refused : '');
  };
  return (
    <>
      <button type="button" onClick={() => input.current?.click()}>
        {words.photo}
      </button>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        className="visually-hidden"
        tabIndex={-1}
        aria-label={words.photo}
        onChange={(e) => {
          void take(e.currentTarget.files?.[0]);
          e.currentTarget.value = '';
        }}
      />
      {wrong !== '' && <p role="alert">{wrong}</p>}
    </>
  );
}
