import { Button, Checkbox, Group, NativeSelect, TextInput } from '@mantine/core';
import { NumberField } from '../../common/NumberField';
import { api, type CoatDocument, type CureReport } from '../../api/client';
import type { Formats } from '../../format/format';
import { RemoveRow } from '../../fields/RemoveRow';
import { Why } from '../../fields/Why';
import { coatName, cure as words } from '../../words';
import { useDocument, useEditing } from '../../job/JobContext';
import { useWrong } from '../../fields/useWrong';
import classes from './CureStep.module.css';

type NumberField = 'coats' | 'fromDays' | 'recoatLeastH' | 'recoatMostH' | 'keepWetH' | 'cureH' | 'dilution';

const FIELDS: Record<NumberField, string> = {
  coats: words.coatCount,
  fromDays: words.coatFrom,
  recoatLeastH: words.coatLeast,
  recoatMostH: words.coatMost,
  keepWetH: words.coatWet,
  cureH: words.coatCure,
  dilution: words.coatDilution,
};

function CoatNumber({ row, field, coat }: { row: number; field: NumberField; coat: CoatDocument }) {
  const { set } = useEditing();
  const at = `/cure/coats/${row}/${field}` as const;
  const wrong = useWrong(at);
  return (
    <NumberField
      size="xs"
      plain
      label={FIELDS[field]}
      value={coat[field]}
      error={wrong}
      onSay={(v) => {
        if (v !== null) set(at, v);
      }}
    />
  );
}

/** Products as their labels have them, and the hours that their coats were laid into. */
export function Coats({ cure, format }: { cure: CureReport | null; format: Formats }) {
  const { cure: said } = useDocument();
  const { set, edit } = useEditing();
  const usual = api.useQuery('get', '/api/coats', {}, { staleTime: Infinity });
  return (
    <>
      <p className={classes.hint}>{words.coatsHint}</p>
      {said.coats.length === 0 && <p className={classes.hint}>{words.coatsNone}</p>}
      {said.coats.map((coat, row) => (
        <fieldset key={row} className={classes.coat}>
          <legend className="visually-hidden">{coatName(coat.name)}</legend>
          <Group gap={6} align="flex-start" wrap="nowrap">
            <TextInput
              size="xs"
              style={{ flex: 1 }}
              label={words.coatName}
              value={coatName(coat.name)}
              maxLength={80}
              onChange={(e) => {
                set(`/cure/coats/${row}/name`, e.currentTarget.value);
              }}
            />
            <RemoveRow label={words.removeCoat(coatName(coat.name))} from="/cure/coats" row={row} labelled />
          </Group>
          <div className={classes.numbers}>
            {(Object.keys(FIELDS) as NumberField[]).map((field) => (
              <CoatNumber key={field} row={row} field={field} coat={coat} />
            ))}
          </div>
          <Checkbox
            size="xs"
            label={words.coatOnDry}
            checked={coat.onDry}
            onChange={(e) => {
              set(`/cure/coats/${row}/onDry`, e.currentTarget.checked);
            }}
          />
          <ul className={classes.coatTimes}>
            {(cure?.coats ?? [])
              .filter((c) => c.product === row)
              .map((c) => (
                <li key={c.number} data-late={c.late}>
                  {words.coat(coatName(c.name), c.number)}: <b>{format.dateHour(c.at)}</b>
                  {c.done && `, ${words.coatDone}`}
                  {c.late && `, ${words.coatScuff}`}
                  {c.number === 1 && <Why code="coatWindow" of={String(row)} about={coatName(coat.name)} />}
                </li>
              ))}
          </ul>
        </fieldset>
      ))}
      <Group gap={6}>
        <NativeSelect
          size="xs"
          aria-label={words.addCoat}
          value=""
          data={[
            { value: '', label: `${words.addCoat}…` },
            ...(usual.data ?? []).map((c) => ({ value: c.name, label: coatName(c.name) })),
          ]}
          onChange={(e) => {
            const chosen = (usual.data ?? []).find((c) => c.name === e.currentTarget.value);
            if (!chosen) return;
            edit(null, (job) => ({
              ...job,
              cure: {
                ...job.cure,
                coats: [...job.cure.coats, chosen],
              },
            }));
          }}
        />
        {said.coats.length > 0 && (
          <Button
            size="compact-xs"
            variant="default"
            onClick={() => {
              set('/cure/coats', []);
            }}
          >
            {words.coatsClear}
          </Button>
        )}
      </Group>
    </>
  );
}
