import { Button, Group, TextInput } from '@mantine/core';
import { IconPrinter, IconTable } from '@tabler/icons-react';
import { api, type Bag } from '../../api/client';
import { Amount } from '../../fields/Amount';
import { Notes } from '../../fields/Notes';
import { RemoveRow } from '../../fields/RemoveRow';
import { Said } from '../../fields/Said';
import { BYTE_ORDER, CSV_TYPE } from '../../common/csvFile';
import { fileName, saveFile } from '../../common/saveFile';
import { number } from '../../format/format';
import { standing, yardNames, buy as words } from '../../words';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import classes from './BuyControls.module.css';
import { csvOf } from './csv';
import { NumberCell } from './NumberCell';
import { OwnBags } from './OwnBags';
import { newerPrices, priced, today } from './rows';

/** Prices that are no thing's: the way home, and the truck. */
function Standing() {
  const { buy } = useDocument();
  const { sections } = usePlanned();
  const { edit, format } = useEditing();
  return (
    <fieldset className={classes.group}>
      <legend>{words.standingTitle}</legend>
      <YardPrices />
      {sections.buy?.standing.map((s) => {
        const name = standing[s.id] ?? s.id;
        const noted = buy.prices.findIndex((p) => p.good === s.id);
        const at = `/buy/prices/${noted < 0 ? buy.prices.length : noted}/price` as const;
        return (
          <div key={s.id} className={classes.row}>
            <span>{name}</span>
            <NumberCell
              label={words.priceOf(name)}
              value={buy.prices[noted]?.price ?? null}
              placeholder={format.money(s.price)}
              at={at}
              onSay={(v) => {
                edit(at, (job) => ({ ...job, buy: priced(job.buy, s.id, v, today()) }));
              }}
            />
          </div>
        );
      })}
    </fieldset>
  );
}

/** Prices that were noted in another job since: taken all at once, or left. */
function YardPrices() {
  const { buy } = useDocument();
  const { edit } = useEditing();
  const { data } = api.useQuery('get', '/api/things', {}, { staleTime: 10_000 });
  const newer = newerPrices(buy, data?.prices ?? []);
  if (newer.length === 0) return null;
  return (
    <Button
      size="compact-sm"
      variant="default"
      onClick={() => {
        edit(null, (job) => ({
          ...job,
          buy: newer.reduce((now, p) => priced(now, p.good, p.price, p.date), job.buy),
        }));
      }}
    >
      {yardNames.prices(number(newer.length))}
    </Button>
  );
}

function Extras() {
  const { buy } = useDocument();
  const { edit, set } = useEditing();
  return (
    <fieldset className={classes.group}>
      <legend>{words.extras}</legend>
      {buy.extras.map((e, i) => (
        <div key={i} className={classes.extra}>
          <TextInput
            size="xs"
            aria-label={words.extraName(i + 1)}
            value={e.name}
            maxLength={80}
            onChange={(event) => {
              set(`/buy/extras/${i}/name`, event.currentTarget.value);
            }}
          />
          <NumberCell
            label={words.extraCount(i + 1)}
            value={e.count}
            placeholder="1"
            at={`/buy/extras/${i}/count`}
            onSay={(v) => {
              set(`/buy/extras/${i}/count`, v ?? 0);
            }}
          />
          <NumberCell
            label={words.extraPrice(i + 1)}
            value={e.price}
            placeholder="0"
            at={`/buy/extras/${i}/price`}
            onSay={(v) => {
              set(`/buy/extras/${i}/price`, v ?? 0);
            }}
          />
          <RemoveRow label={words.removeExtra(i + 1)} from="/buy/extras" row={i} />
        </div>
      ))}
      <Button
        size="compact-sm"
        variant="subtle"
        onClick={() => {
          edit(null, (job) => ({
            ...job,
            buy: { ...job.buy, extras: [...job.buy.extras, { name: '', count: 1, price: 0 }] },
          }));
        }}
      >
        {words.addExtra}
      </Button>
    </fieldset>
  );
}

export function BuyControls({ bags }: { bags: Bag[] }) {
  const document = useDocument();
  const { sections } = usePlanned();
  const { set, format } = useEditing();
  const { buy } = document;
  return (
    <>
      <Group gap="xs" align="flex-start" wrap="nowrap">
        <TextInput
          size="sm"
          w={92}
          label={words.currency}
          value={buy.currency}
          maxLength={4}
          onChange={(e) => {
            set('/buy/currency', e.currentTarget.value);
          }}
        />
        <Said at="/buy/payload" value={buy.payload} label={words.payload} />
        <Amount at="/buy/hourWorth" value={buy.hourWorth} label={words.hourWorth} />
      </Group>
      <Group gap="xs" className={classes.tools ?? ''}>
        <Button
          size="compact-sm"
          variant="outline"
          disabled={false}
          leftSection={<IconPrinter size={16} aria-hidden />}
          onClick={() => {
            window.print();
          }}
        >
          {words.print}
        </Button>
        <Button
          size="compact-sm"
          variant="outline"
          leftSection={<IconTable size={16} aria-hidden />}
          disabled={!sections.buy}
          onClick={() => {
            if (!sections.buy) return;
            saveFile(
              `${fileName(document.name)} ${words.csvName}.csv`,
              CSV_TYPE,
              BYTE_ORDER + csvOf(sections.buy, document, bags, format),
            );
          }}
        >
          {words.csv}
        </Button>
      </Group>
      <Standing />
      <Extras />
      <OwnBags />
      <Notes under={['/buy']} only={['caution']} />
    </>
  );
}
