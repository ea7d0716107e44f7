import { FileButton, Button, Group, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { useDoor } from '../../common/doors';
import { http, type Enum, type Finding, type Notice } from '../../api/client';
import { fields, fileUnits } from '../../words';
import { useTold } from '../../common/useTold';
import { useEditing } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';
import classes from './ShapeStep.module.css';

type Unit = NonNullable<Enum<'OutlineFileUnit'>>;

const LARGEST_BYTES = 2_000_000;

/** Reads an outline from a drawing, a map outline or a table of points. What is wrong with the file is said here. */
export function OutlineFile({ path }: { path: ElementPointer }) {
  const { set, format } = useEditing();
  const [text, setText] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | Notice | null>(null);
  const sentences = useTold();
  const [asks, setAsks] = useState(false);

  const read = async (content: string, unit: Unit | null) => {
    const { data, error } = await http.POST('/api/outlines/read', { body: { text: content, unit } });
    if (!data) {
      setWrong((error as { detail?: string } | undefined)?.detail ?? fields.fileHint);
      return;
    }
    const fault: Finding | undefined = data.findings.find((f) => f.severity === 'error');
    setAsks(fault?.says.code === 'fileUnitUnknown');
    setWrong(fault?.says ?? null);
    if (data.points !== null) set(`${path}/outline`, { kind: 'points', points: data.points });
  };

  const open = (file: File) => {
    if (file.size > LARGEST_BYTES) {
      setWrong(fields.fileTooLarge);
      return;
    }
    void file.text().then((content) => {
      setText(content);
      return read(content, null);
    });
  };
  useDoor('outline', open);

  return (
    <div>
      <Group gap={6}>
        <FileButton
          accept=".dxf,.geojson,.json,.csv,.txt"
          onChange={(file) => {
            if (file) open(file);
          }}
        >
          {(props) => (
            <Button {...props} size="compact-xs" variant="default">
              {fields.readFile}
            </Button>
          )}
        </FileButton>
        {asks && text !== null && (
          <NativeSelect
            size="xs"
            aria-label={fields.fileUnit}
            value=""
            data={[
              { value: '', label: `${fields.fileUnit}…` },
              ...Object.entries(fileUnits).map(([value, label]) => ({ value, label })),
            ]}
            onChange={(e) => {
              if (e.currentTarget.value !== '') void read(text, e.currentTarget.value as Unit);
            }}
          />
        )}
      </Group>
      <p className={classes.hint} role={wrong === null ? undefined : 'alert'} data-wrong={wrong !== null}>
        {wrong === null
          ? fields.fileHint
          : typeof wrong === 'string'
            ? wrong
            : (sentences?.findingText(wrong, format) ?? '…')}
      </p>
    </div>
  );
}
