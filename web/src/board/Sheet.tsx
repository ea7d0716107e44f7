import { useEffect, useRef, type ReactNode } from 'react';
import { board as words } from '../words';
import board from './Board.module.css';
import classes from './Sheet.module.css';

interface SheetProps {
  title: string;
  label?: string;
  onClose: () => void;
  children: ReactNode;
}

/** Lies over the board until it is put away; the board behind it does not move. */
export function Sheet({ title, label = title, onClose, children }: SheetProps) {
  const ref = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const dialog = ref.current;
    if (dialog && !dialog.open) dialog.showModal();
  }, []);
  return (
    <dialog ref={ref} className={classes.sheet} aria-label={label} onClose={onClose}>
      <h2>{title}</h2>
      {children}
      <button
        type="button"
        className={board.big}
        onClick={() => {
          ref.current?.close();
        }}
      >
        {words.sheet.close}
      </button>
    </dialog>
  );
}
