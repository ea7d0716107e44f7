import { Button, Modal } from '@mantine/core';
import { useState } from 'react';
import { api, http, type JobDocument } from '../api/client';
import type { Formats } from '../format/format';
import { app, save as words } from '../words';
import classes from './JobPage.module.css';

interface VersionSheetProps {
  job: string;
  format: Formats;
  onTake: (document: JobDocument) => void;
  onClose: () => void;
}

/** How the job stood before, and the way back to it. */
export function VersionSheet({ job, format, onTake, onClose }: VersionSheetProps) {
  const versions = api.useQuery(
    'get',
    '/api/jobs/{id}/versions',
    { params: { path: { id: job } } },
    { staleTime: 0 },
  );
  const [wrong, setWrong] = useState<string | null>(null);
  const take = async (version: number) => {
    const { data } = await http
      .GET('/api/jobs/{id}/versions/{version}', { params: { path: { id: job, version } } })
      .catch(() => ({ data: undefined }));
    if (data) {
      onTake(data);
      onClose();
    } else setWrong(words.versionGone);
  };
  return (
    <Modal opened onClose={onClose} title={words.versions} closeButtonProps={{ 'aria-label': app.close }}>
      <p>{versions.data?.length === 0 ? words.noVersions : words.versionsHint}</p>
      {versions.isError && <p role="alert">{app.noServer}</p>}
      {wrong !== null && <p role="alert">{wrong}</p>}
      <ul className={classes.versions}>
        {versions.data?.map((v) => (
          <li key={v.version}>
            <span>{words.asItWas(format.dateTime(v.savedAt))}</span>
            <Button size="compact-sm" variant="default" onClick={() => void take(v.version)}>
              {words.takeBack}
            </Button>
          </li>
        ))}
      </ul>
    </Modal>
  );
}
