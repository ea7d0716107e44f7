import { useState } from 'react';
import { board as words } from '../words';
import classes from './Board.module.css';
import { Sheet } from './Sheet';
import sheetStyles from './Sheet.module.css';

interface AskNoteProps {
  title: string;
  onSay: (note: string) => void;
  onClose: () => void;
}

const MOST_LETTERS = 2_000;

/** Asks for words: by the keyboard, or its microphone. */
export function AskNote({ title, onSay, onClose }: AskNoteProps) {
  const [note, setNote] = useState('');
  return (
    <Sheet title={title} onClose={onClose}>
      <label className={sheetStyles.note}>
        {words.noteLabel}
        <textarea
          rows={4}
          maxLength={MOST_LETTERS}
          value={note}
          onChange={(e) => {
            setNote(e.currentTarget.value);
          }}
        />
      </label>
      <button
        type="button"
        className={classes.strong}
        disabled={note.trim() === ''}
        onClick={() => {
          onSay(note.trim());
          onClose();
        }}
      >
        {words.say}
      </button>
    </Sheet>
  );
}
