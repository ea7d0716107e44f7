import { useEffect, type HTMLAttributes } from 'react';
import { useDropzone } from 'react-dropzone';
import { drop as words } from '../words';
import classes from './FileDrop.module.css';

interface FileZoneProps {
  /** Takes what the element has to have that files are let go on. */
  onZone: (zone: HTMLAttributes<HTMLDivElement>) => void;
  onFile: (file: File) => void;
  /** Something was let go that is not one file. */
  onOther: () => void;
}

/** Makes an element take files; itself it is only seen while one is held over it. */
export default function FileZone({ onZone, onFile, onOther }: FileZoneProps) {
  const { getRootProps, isDragActive } = useDropzone({
    noClick: true,
    noKeyboard: true,
    multiple: false,
    onDropAccepted: ([file]) => {
      if (file) onFile(file);
    },
    onDropRejected: onOther,
  });
  useEffect(() => {
    onZone(getRootProps({ role: 'none' }));
  }, [getRootProps, onZone]);
  return isDragActive ? <p className={classes.over}>{words.letGo}</p> : null;
}
