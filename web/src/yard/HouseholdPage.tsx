import { Button, SegmentedControl, Switch, TextInput } from '@mantine/core';
import { NumberField } from '../common/NumberField';
import { useQueryClient } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { useRef, useState } from 'react';
import { api, http, type Enum, type Problem } from '../api/client';
import { useYardEnglish } from '../common/useYardEnglish';
import { AppFrame } from '../frame/AppFrame';
import { asHouseholdLikes } from '../frame/scheme';
import { TypedField } from '../common/TypedField';
import { zone } from '../common/zone';
import { clockOf, formatsFor } from '../format/format';
import { timeTyped } from '../format/typed';
import { useRole } from '../own/useRole';
import { app, household as words } from '../words';
import table from '../common/RuledTable.module.css';
import classes from './HouseholdPage.module.css';

type Role = Enum<'DeviceRole'>;
type Liked = Enum<'PreferencesDto'>;

const roles: Role[] = ['look', 'crew', 'plan'];
const QR_PX = 168;

const whyOf = (error: unknown): string => (error as Problem | undefined)?.detail ?? app.failed;

/** One of a few, each in view. */
function OneOf<T extends string>({
  label,
  value,
  of,
  onPick,
}: {
  label: string;
  value: T;
  of: Record<T, string>;
  onPick: (value: T) => void;
}) {
  return (
    <div>
      <span className={classes.label}>{label}</span>
      <SegmentedControl
        aria-label={label}
        value={value}
        data={(Object.keys(of) as T[]).map((v) => ({ value: v, label: of[v] }))}
        onChange={onPick}
      />
    </div>
  );
}

/** How this household likes things; what is changed is kept at once. */
function Likes() {
  const client = useQueryClient();
  const { data } = api.useQuery('get', '/api/preferences', {}, { staleTime: 0 });
  const [wrong, setWrong] = useState<{ path: string; why: string } | null>(null);
  // Typed on while one is on its way: each is sent after the one before, so that the last is what stays.
  const last = useRef<Promise<unknown>>(Promise.resolve());
  if (!data) return <p>{app.loading}</p>;
  const keep = (change: Partial<Liked>) => {
    const said = { ...data, ...change };
    client.setQueryData(['get', '/api/preferences', {}], said);
    last.current = last.current.then(async () => {
      const { error } = await http
        .PUT('/api/preferences', { body: said })
        .catch(() => ({ error: { path: '', detail: app.noServer } }));
      setWrong(error ? { path: (error as { path?: string }).path ?? '', why: whyOf(error) } : null);
    });
  };
  const at = (path: string) => (wrong?.path === path ? wrong.why : undefined);
  const time = (name: 'wakeFrom' | 'wakeUntil', placeholder: string) => (
    <TypedField
      label={words[name]}
      placeholder={clockOf(placeholder)}
      width={110}
      value={data[name]}
      error={at(`$.${name}`)}
      read={timeTyped}
      show={clockOf}
      onSay={(said) => {
        keep({ [name]: said });
      }}
    />
  );
  const degrees = (name: 'latitude' | 'longitude', most: number) => (
    <NumberField
      label={words[name]}
      value={data[name]}
      min={-most}
      max={most}
      places={4}
      plain
      error={at(`$.${name}`)}
      onSay={(v) => {
        keep({ [name]: v });
      }}
    />
  );
  return (
    <>
      <p className={classes.hint}>{words.likesHint}</p>
      {wrong?.path === '' && (
        <p role="alert" className={classes.wrong}>
          {wrong.why}
        </p>
      )}
      <div className={classes.fields}>
        <OneOf
          label={words.units}
          value={data.units}
          of={words.systems}
          onPick={(units) => {
            keep({ units });
          }}
        />
        <OneOf
          label={words.fraction}
          value={data.fraction === 8 ? 'eighths' : 'sixteenths'}
          of={words.parts}
          onPick={(parts) => {
            keep({ fraction: parts === 'eighths' ? 8 : 16 });
          }}
        />
        <OneOf
          label={words.firstDay}
          value={data.firstDay ?? 'byUnits'}
          of={words.firstDays}
          onPick={(day) => {
            keep({ firstDay: day === 'byUnits' ? null : day });
          }}
        />
        <OneOf
          label={words.scheme}
          value={data.scheme ?? 'device'}
          of={words.schemes}
          onPick={(scheme) => {
            keep({ scheme });
            asHouseholdLikes(scheme, true);
          }}
        />
        <TextInput
          label={words.currency}
          placeholder="€"
          value={data.currency}
          error={at('$.currency')}
          onChange={(e) => {
            keep({ currency: e.currentTarget.value });
          }}
        />
        {time('wakeFrom', '07:00')}
        {time('wakeUntil', '22:00')}
        {degrees('latitude', 90)}
        {degrees('longitude', 180)}
      </div>
    </>
  );
}

/** The switch, the code to join with, and the devices that did. */
function Share() {
  const client = useQueryClient();
  const { data } = api.useQuery('get', '/api/sharing', {}, { staleTime: 0, refetchInterval: 3_000 });
  const [role, setRole] = useState<Role>('crew');
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  if (!data) return <p>{app.loading}</p>;
  const format = formatsFor('metric', zone);
  const done = async (asked: Promise<{ error?: unknown }>) => {
    setBusy(true);
    const { error } = await asked.catch((e: unknown) => ({ error: e }));
    setBusy(false);
    setWrong(error === undefined ? null : whyOf(error));
    await client.invalidateQueries({ queryKey: ['get', '/api/sharing'] });
  };
  const set = (on: boolean, safe: boolean) => done(http.PUT('/api/sharing', { body: { on, safe } }));
  const place = data.places[0] ?? '';
  const { invitation } = data;
  return (
    <>
      <Switch
        size="md"
        checked={data.on}
        disabled={busy}
        label={words.share}
        onChange={(e) => void set(e.currentTarget.checked, data.safe)}
      />
      <p className={classes.hint}>{data.on ? words.shared : words.alone}</p>
      {wrong !== null && (
        <p role="alert" className={classes.wrong}>
          {wrong}
        </p>
      )}
      {data.on && (
        <>
          <div className={classes.fields}>
            <div>
              <span className={classes.label}>{words.joinAs}</span>
              <SegmentedControl
                aria-label={words.joinAs}
                value={role}
                data={roles.map((value) => ({ value, label: words.roles[value] }))}
                onChange={(r) => {
                  setRole(r);
                }}
              />
              <p className={classes.hint}>{words.mayDo[role]}</p>
              <Button
                disabled={busy}
                onClick={() => void done(http.POST('/api/sharing/invitation', { body: { role } }))}
              >
                {words.invite}
              </Button>
            </div>
            {invitation && (
              <div className={classes.invitation} data-testid="invitation">
                <QRCodeSVG
                  value={`${place}/join?code=${invitation.code}`}
                  size={QR_PX}
                  marginSize={2}
                  title={words.qr}
                />
                <div>
                  <p className={classes.place}>{place}</p>
                  <p className={classes.code}>
                    {invitation.code.slice(0, 4)} {invitation.code.slice(4)}
                  </p>
                  <p className={classes.hint}>
                    {words.goodUntil(words.roles[invitation.role], format.time(invitation.until))}
                  </p>
                </div>
              </div>
            )}
          </div>
          <Switch
            checked={data.safe}
            disabled={busy}
            label={words.safe}
            onChange={(e) => void set(true, e.currentTarget.checked)}
          />
          <p className={classes.hint}>{data.safe ? words.safeHow : words.safeWhy}</p>
        </>
      )}
      {data.devices.length > 0 && (
        <table className={table.ruled}>
          <thead>
            <tr>
              <th scope="col">{words.device}</th>
              <th scope="col">{words.may}</th>
              <th scope="col">{words.seen}</th>
              <td />
            </tr>
          </thead>
          <tbody>
            {data.devices.map((d) => (
              <tr key={d.id}>
                <th scope="row">{d.name}</th>
                <td>{words.roles[d.role]}</td>
                <td>{format.dateTime(d.seenAt)}</td>
                <td>
                  <Button
                    size="compact-sm"
                    variant="default"
                    aria-label={`${words.sendOff}: ${d.name}`}
                    onClick={() =>
                      void done(http.DELETE('/api/sharing/devices/{id}', { params: { path: { id: d.id } } }))
                    }
                  >
                    {words.sendOff}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

/** What is settled once for all jobs: how things are liked, and who is let in. */
export function HouseholdPage() {
  useYardEnglish();
  const role = useRole();
  return (
    <AppFrame page={words.title} title={words.title}>
      <div className={classes.page}>
        {role === 'plan' ? (
          <>
            <section aria-labelledby="share-title" className={classes.part}>
              <h2 id="share-title">{words.shareTitle}</h2>
              <Share />
            </section>
            <section aria-labelledby="likes-title" className={classes.part}>
              <h2 id="likes-title">{words.likes}</h2>
              <Likes />
            </section>
          </>
        ) : (
          <p>{app.onlyPlan}</p>
        )}
      </div>
    </AppFrame>
  );
}
