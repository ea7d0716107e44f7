import { Button, FileButton, Group, SegmentedControl, TextInput } from '@mantine/core';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation } from 'wouter';
import { api, http, type Enum, type JobDocument, type Units } from '../api/client';
import { useDoor } from '../common/doors';
import { doorOf } from '../common/fileDoor';
import { KindPicture } from '../drawing/KindPicture';
import { app, save as saveWords, startKinds, yard as words } from '../words';
import classes from './YardPage.module.css';
import { zone } from '../common/zone';

/** What is poured is asked first. */
export function NewJob() {
  const [, navigate] = useLocation();
  const client = useQueryClient();
  const [name, setName] = useState('');
  const { data: liked } = api.useQuery('get', '/api/preferences', {}, { staleTime: 10_000 });
  const [chosen, setUnits] = useState<Units | null>(null);
  const units = chosen ?? liked?.units ?? 'metric';
  const [kind, setKind] = useState<Enum<'StartKind'>>('slab');
  const [wrong, setWrong] = useState<string | null>(null);

  const add = async (document: unknown) => {
    const { data, error } = await http.POST('/api/jobs', { body: document as JobDocument });
    if (data) navigate(`/jobs/${data.id}/shape`);
    else setWrong((error as { detail?: string } | undefined)?.detail ?? app.failed);
  };
  const start = async () => {
    const { data, error } = await http.GET('/api/jobs/start', {
      params: { query: { name: name.trim() || startKinds[kind], units, timeZone: zone, kind } },
    });
    if (data) await add({ ...data, elements: data.elements.map((e) => ({ ...e, name: startKinds[kind] })) });
    else setWrong((error as { detail?: string } | undefined)?.detail ?? app.failed);
  };
  const open = async (file: File | null) => {
    if (!file) return;
    // A file finds its door by what it is.
    if ((await doorOf(file)) === 'archive') {
      const { data, error } = await http.POST('/api/archive', {
        body: file as unknown as string,
        bodySerializer: (body) => body,
        headers: { 'Content-Type': 'application/zip' },
      });
      if (data) await client.invalidateQueries();
      setWrong(data ? null : ((error as { detail?: string } | undefined)?.detail ?? app.failed));
      return;
    }
    try {
      await add(JSON.parse(await file.text()));
    } catch {
      setWrong(words.unreadable);
    }
  };
  useDoor('job', (file) => void open(file));
  useDoor('archive', (file) => void open(file));
  return (
    <form
      className={classes.fresh}
      onSubmit={(e) => {
        e.preventDefault();
        void start();
      }}
    >
      <h2 className={classes.groupTitle}>{words.newJob}</h2>
      <fieldset className={classes.kinds}>
        <legend>{words.whatIsPoured}</legend>
        {(Object.keys(startKinds) as (keyof typeof startKinds)[]).map((k) => (
          <label key={k} className={classes.kind} data-kind={k}>
            <input
              type="radio"
              name="kind"
              className="visually-hidden"
              value={k}
              checked={k === kind}
              onChange={() => {
                setKind(k);
              }}
            />
            <KindPicture kind={k} />
            <span>{startKinds[k]}</span>
          </label>
        ))}
      </fieldset>
      <TextInput
        label={words.name}
        placeholder={startKinds[kind]}
        value={name}
        maxLength={120}
        error={wrong}
        onChange={(e) => {
          setName(e.currentTarget.value);
        }}
      />
      <Group mt="sm" gap="xs">
        <SegmentedControl
          aria-label={saveWords.units(false)}
          value={units}
          data={[
            { value: 'metric', label: saveWords.units(false) },
            { value: 'us', label: saveWords.units(true) },
          ]}
          onChange={(v) => {
            setUnits(v);
          }}
        />
        <Button type="submit">{words.start}</Button>
      </Group>
      <Group mt="sm" gap="xs">
        <FileButton accept="application/json,.json,application/zip,.zip" onChange={(f) => void open(f)}>
          {(props) => (
            <Button {...props} variant="subtle" size="compact-sm">
              {words.openFile}
            </Button>
          )}
        </FileButton>
        <Button component="a" href="/api/backup" download variant="subtle" size="compact-sm">
          {words.backup}
        </Button>
        <Button component="a" href="/api/archive" download variant="subtle" size="compact-sm">
          {words.archive}
        </Button>
      </Group>
    </form>
  );
}
