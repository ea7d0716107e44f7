import { ActionIcon } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import { useEditing } from '../job/JobContext';
import { cutAt, type Pointer } from '../job/pointer';

interface RemoveRowProps {
  label: string;
  /** The lists that lose their row of this number, together. */
  from: Pointer | [Pointer, Pointer];
  row: number;
  /** Beside a field that has its label above. */
  labelled?: boolean;
}

/** Takes a row out of a list of the job; one undo brings it back. */
export function RemoveRow({ label, from, row, labelled = false }: RemoveRowProps) {
  const { edit } = useEditing();
  return (
    <ActionIcon
      variant="subtle"
      size={26}
      mt={labelled ? 22 : 2}
      aria-label={label}
      onClick={() => {
        edit(null, (job) => [from].flat().reduce((j, list) => cutAt(j, list, row), job));
      }}
    >
      <IconX size={14} aria-hidden />
    </ActionIcon>
  );
}
