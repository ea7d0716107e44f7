import { MomentField } from '../../fields/MomentField';
import { Button, Checkbox, FileButton, Group } from '@mantine/core';
import { useState } from 'react';
import { api, http, type Finding } from '../../api/client';
import { useDoor } from '../../common/doors';
import { number } from '../../format/format';
import { Amount } from '../../fields/Amount';
import { Notes } from '../../fields/Notes';
import { YardName } from '../../fields/YardName';
import { Pick } from '../../common/Pick';
import { shades, shelters, site as words, yardNames } from '../../words';
import { useTold } from '../../common/useTold';
import { useDocument, useEditing } from '../../job/JobContext';
import classes from './DayStep.module.css';

const LARGEST_BYTES = 4_000_000;

/** The files that are kept: another is taken, or one that no job needs is let go. */
function KeptFiles({ taken, onTake }: { taken: string; onTake: (id: string) => void }) {
  const { format } = useEditing();
  const kept = api.useQuery('get', '/api/weather-files', {}, { staleTime: 0 });
  if (!kept.data || kept.data.length === 0) return null;
  return (
    <details data-testid="weather-files">
      <summary>{words.keptFiles(number(kept.data.length))}</summary>
      <ul className={classes.keptFiles}>
        {kept.data.map((file) => (
          <li key={file.id}>
            <span>{words.keptFile(file.name, format.date(file.from))}</span>
            <Button
              size="compact-sm"
              variant="default"
              disabled={file.id === taken || undefined}
              onClick={() => {
                onTake(file.id);
              }}
            >
              {words.takeFile}
            </Button>
            <Button
              size="compact-sm"
              variant="subtle"
              aria-label={words.removeFile(file.name)}
              onClick={() =>
                void http
                  .DELETE('/api/weather-files/{id}', { params: { path: { id: file.id } } })
                  .catch(() => undefined)
                  .then(() => kept.refetch())
              }
            >
              {words.remove}
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Weather from a file: what was understood of it, and what is wrong with it, line by line. */
function WeatherFile({ onFile }: { onFile: () => void }) {
  const document = useDocument();
  const { set, format } = useEditing();
  const [found, setFound] = useState<Finding[]>([]);
  const [wrong, setWrong] = useState<string | null>(null);
  const id = document.site.weatherFile;
  const kept = api.useQuery(
    'get',
    '/api/weather-files/{id}',
    { params: { path: { id } } },
    { enabled: id !== '', retry: false, staleTime: Infinity },
  );
  const read = async (file: File) => {
    if (file.size > LARGEST_BYTES) {
      setWrong(words.fileTooLarge);
      return;
    }
    const text = await file.text();
    const { data, error } = await http.POST('/api/weather-files', {
      params: {
        query: { name: file.name, timeZone: document.timeZone, year: Number(document.day.date.slice(0, 4)) },
      },
      body: text,
      bodySerializer: (body) => body,
      headers: { 'Content-Type': 'text/plain' },
    });
    setWrong(data ? null : ((error as { detail?: string } | undefined)?.detail ?? words.fileHint));
    setFound(data?.findings ?? []);
    if (data?.id) set('/site/weatherFile', data.id);
  };
  useDoor('weather', (file) => {
    onFile();
    void read(file);
  });
  const sentences = useTold();
  const refused = found.some((f) => f.severity === 'error');
  return (
    <div data-testid="weather-file">
      <p className={classes.label}>{words.weather}</p>
      <p className={classes.source}>
        {id === '' || !kept.data
          ? words.forecast
          : words.fromFile(
              kept.data.name,
              kept.data.from === null ? '' : format.date(kept.data.from),
              kept.data.until === null ? '' : format.date(kept.data.until),
              number(kept.data.hours),
            )}
        {kept.data?.typicalYear === true && `; ${words.typicalYear}`}
      </p>
      <Group gap={6}>
        <FileButton
          accept=".csv,.epw,.txt"
          onChange={(file) => {
            if (file) void read(file);
          }}
        >
          {(props) => (
            <Button {...props} size="compact-sm" variant="default">
              {words.readFile}
            </Button>
          )}
        </FileButton>
        {id !== '' && (
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => {
              set('/site/weatherFile', '');
              setFound([]);
            }}
          >
            {words.backToForecast}
          </Button>
        )}
      </Group>
      <KeptFiles
        key={id}
        taken={id}
        onTake={(file) => {
          set('/site/weatherFile', file);
        }}
      />
      {wrong === null ? (
        <p className={classes.simulated}>{words.fileHint}</p>
      ) : (
        <p className={classes.wrong} role="alert">
          {wrong}
        </p>
      )}
      {found.length > 0 && (
        <div role="alert" className={classes.found} data-refused={refused}>
          {refused && <p>{words.notRead}</p>}
          <ul>
            {found.map((f) => (
              <li key={f.where + JSON.stringify(f.says)} data-severity={f.severity} data-code={f.says.code}>
                {sentences?.findingText(f.says, format)}
              </li>
            ))}
          </ul>
        </div>
      )}
    </div>
  );
}

/** What stands over and beside the pour, the hours one may begin in, and where the weather comes from. */
export function SiteFields({ onFile }: { onFile: () => void }) {
  const { site, day } = useDocument();
  const { set, edit } = useEditing();
  const tick = (field: 'windbreak' | 'fog' | 'rainCover', label: string) => (
    <Checkbox
      size="sm"
      label={label}
      checked={site[field]}
      onChange={(e) => {
        set(`/site/${field}`, e.currentTarget.checked);
      }}
    />
  );
  return (
    <>
      <Notes under={['/site']} only={['error', 'warning', 'note']} />
      <YardName
        label={yardNames.site}
        value={site.called ?? ''}
        of={(things) => things.sites}
        nameOf={(s) => s.called}
        onName={(name) => {
          set('/site/called', name === '' ? null : name);
        }}
        onChoose={(s) => {
          edit(null, (job) => ({
            ...job,
            site: { ...s, weatherFile: job.site.weatherFile, typed: job.site.typed ?? null },
          }));
        }}
      />
      <Group gap="xs" align="flex-start">
        <Pick
          label={words.shelter}
          value={site.shelter}
          of={shelters}
          onPick={(v) => {
            set('/site/shelter', v);
          }}
        />
        <Pick
          label={words.shade}
          value={site.shade}
          of={shades}
          onPick={(v) => {
            set('/site/shade', v);
          }}
        />
      </Group>
      {tick('windbreak', words.windbreak)}
      {tick('fog', words.fog)}
      {tick('rainCover', words.rainCover)}
      <Group gap="xs" align="flex-start">
        <MomentField kind="time" at="/day/workFrom" label={words.workFrom} value={day.workFrom} />
        <MomentField kind="time" at="/day/workUntil" label={words.workUntil} value={day.workUntil} />
      </Group>
      <p className={classes.label}>{words.place}</p>
      <Group gap="xs" align="flex-start">
        <Amount
          at="/site/latitude"
          value={site.latitude}
          label={words.latitude}
          optional
          placeholder={words.asZone}
        />
        <Amount
          at="/site/longitude"
          value={site.longitude}
          label={words.longitude}
          optional
          placeholder={words.asZone}
        />
      </Group>
      <p className={classes.simulated}>{words.placeHint}</p>
      <WeatherFile onFile={onFile} />
    </>
  );
}
