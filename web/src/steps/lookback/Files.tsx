import { Button, FileButton } from '@mantine/core';
import { useState } from 'react';
import { useParams } from 'wouter';
import { http, type LookBackReport } from '../../api/client';
import { useDoor } from '../../common/doors';
import { fileName, saveFile } from '../../common/saveFile';
import { number } from '../../format/format';
import { useDiaryOf, useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { useDevice } from '../../job/useDevice';
import { logFiles as words } from '../../words';
import { findingText } from '../../words/told';
import classes from './LookBackStep.module.css';

async function readProbe(file: File, timeZone: string) {
  const { data } = await http.POST('/api/probes', {
    params: { query: { timeZone } },
    body: await file.text(),
    bodySerializer: (text) => text,
    headers: { 'Content-Type': 'text/plain' },
  });
  return data ?? null;
}

/** The diary out, and what a probe in the slab wrote in. */
export function Files({ look, onFile }: { look: LookBackReport | null; onFile: () => void }) {
  const { id = '' } = useParams();
  const document = useDocument();
  const { format } = useEditing();
  const { report } = usePlanned();
  const { tell, lines } = useDiaryOf();
  const device = useDevice();
  const [probe, setProbe] = useState<Awaited<ReturnType<typeof readProbe>>>(null);
  const read = async (file: File) => {
    setProbe(await readProbe(file, document.timeZone));
  };
  useDoor('probe', (file) => {
    onFile();
    void read(file);
  });
  const name = fileName(document.name);
  const [first, last] = [probe?.readings[0], probe?.readings.at(-1)];
  return (
    <div className={classes.form}>
      <h3 className={classes.small}>{words.title}</h3>
      <div className={classes.line}>
        <Button
          component="a"
          variant="default"
          disabled={false}
          size="compact-sm"
          href={`/api/jobs/${id}/log/csv`}
          download={`${name}.csv`}
        >
          {words.csv}
        </Button>
        <Button
          variant="default"
          size="compact-sm"
          disabled={false}
          onClick={() => {
            saveFile(`${name}.diary.json`, 'application/json', JSON.stringify(lines, null, 2));
          }}
        >
          {words.json}
        </Button>
      </div>
      <h3 className={classes.small}>{words.probe}</h3>
      <p className={classes.soft}>{words.probeHint}</p>
      <FileButton
        accept=".csv,.txt,text/csv,text/plain"
        onChange={(file) => {
          if (file) void read(file);
        }}
      >
        {(props) => (
          <Button {...props} variant="default" size="compact-sm">
            {words.probe}
          </Button>
        )}
      </FileButton>
      {probe && (
        <div data-testid="probe" role="status">
          <ul className={classes.plain}>
            {probe.findings.map((f, i) => (
              <li key={i}>{findingText(f.says, format)}</li>
            ))}
          </ul>
          {first && last && (
            <>
              <p>
                {words.probeRead(
                  number(probe.readings.length),
                  format.dateTime(first.at),
                  format.dateTime(last.at),
                )}{' '}
                {words.probeGap(number(probe.longestGapH, 1))}
              </p>
              <Button
                size="compact-sm"
                onClick={() => {
                  tell(
                    { kind: 'probeRead', readings: probe.readings, pour: report.pour ?? '' },
                    { device, at: first.at },
                  );
                  setProbe(null);
                }}
              >
                {words.probeUse}
              </Button>
            </>
          )}
        </div>
      )}
      {look?.strength?.probed && <p>{words.probeUsed}</p>}
    </div>
  );
}
