import { useEffect, useState } from 'react';
import { pictureHere } from '../job/device';
import { placeOf } from '../job/pictures';
import partsStyles from './Parts.module.css';

/** A line may come before its picture: it is asked for again, after ever longer. */
const AGAIN_MS = 2_000;

/** A photograph of the log: this device's while it has one, else the program's. */
export function Picture({ job, picture, text }: { job: string; picture: string; text: string }) {
  const [source, setSource] = useState<string | null>(null);
  const [shown, setShown] = useState(false);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let url: string | null = null;
    let left = false;
    void pictureHere(picture).then((kept) => {
      if (left) return;
      if (kept) url = URL.createObjectURL(kept.image);
      setSource(url ?? placeOf(job, picture));
    });
    return () => {
      left = true;
      if (url !== null) URL.revokeObjectURL(url);
    };
  }, [job, picture]);
  useEffect(() => {
    if (tries === 0 || shown) return;
    const timer = setTimeout(
      () => {
        setSource(`${placeOf(job, picture)}?${String(tries)}`);
      },
      AGAIN_MS * 2 ** (tries - 1),
    );
    return () => {
      clearTimeout(timer);
    };
  }, [tries, shown, job, picture]);
  if (source === null) return null;
  return (
    <img
      className={partsStyles.picture}
      src={source}
      alt={text}
      hidden={!shown}
      onLoad={() => {
        setShown(true);
      }}
      onError={() => {
        setTries((t) => t + 1);
      }}
    />
  );
}
