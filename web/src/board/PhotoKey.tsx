import { useRef } from 'react';
import { usePhoto } from '../job/usePhoto';
import { board as words } from '../words';
import { useBoard } from './session';

/** Takes a photograph, by the camera of a phone or from a file; there is none of a day that is only played. */
export function PhotoKey() {
  const { job, tell, pour } = useBoard();
  const input = useRef<HTMLInputElement>(null);
  const { wrong, take } = usePhoto(job ?? '');
  if (job === null) return null;
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
          void take(e.currentTarget.files?.[0], (picture) => {
            tell({ kind: 'photo', picture, pour });
          });
          e.currentTarget.value = '';
        }}
      />
      {wrong !== '' && <p role="alert">{wrong}</p>}
    </>
  );
}
