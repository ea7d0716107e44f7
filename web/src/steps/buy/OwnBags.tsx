import { Button, Group, TextInput } from '@mantine/core';
import { api, type BuyDocument } from '../../api/client';
import { Amount } from '../../fields/Amount';
import { RemoveRow } from '../../fields/RemoveRow';
import { Said } from '../../fields/Said';
import { yardNames, buy as words } from '../../words';
import { useDocument, useEditing } from '../../job/JobContext';
import classes from './BuyControls.module.css';

type OwnBag = BuyDocument['bags'][number];

const said = ['mass', 'yield', 'leastWater', 'mostWater'] as const;
const optional = ['mostThicknessMm', 'airPct', 'cementPct'] as const;
const amounts = ['f28Mpa', 'initialSetH', 'finalSetH', 'leastThicknessMm', 'stoneMm'] as const;

/** A new one, like the usual bag, to be written over from its label. */
const fresh = (taken: OwnBag[]): OwnBag => ({
  id: `own-${String(1 + Math.max(0, ...taken.map((b) => Number(b.id.slice('own-'.length)) || 0)))}`,
  name: words.newBag,
  mass: '25 kg',
  yield: '12 L',
  leastWater: '2.2 L',
  mostWater: '3 L',
  f28Mpa: 25,
  initialSetH: 5,
  finalSetH: 7,
  leastThicknessMm: 50,
  mostThicknessMm: null,
  stoneMm: 10,
  family: 'portland',
});

/** Bags that the catalogue does not have, as their labels have them. */
export function OwnBags() {
  const { buy } = useDocument();
  const { edit, set } = useEditing();
  const { data } = api.useQuery('get', '/api/things', {}, { staleTime: 10_000 });
  const known = (data?.bags ?? []).filter((b) => !buy.bags.some((own) => own.name === b.name));
  const add = (bag: OwnBag) => {
    edit(null, (job) => ({ ...job, buy: { ...job.buy, bags: [...job.buy.bags, bag] } }));
  };
  return (
    <fieldset className={classes.group}>
      <legend>{words.ownBags}</legend>
      <p className={classes.hint}>{words.ownBagsHint}</p>
      {buy.bags.map((bag, i) => {
        const at = `/buy/bags/${i}` as const;
        return (
          <div key={bag.id} className={classes.own}>
            <Group gap="xs" wrap="nowrap" align="flex-start">
              <TextInput
                size="sm"
                flex={1}
                label={words.bag.name}
                value={bag.name}
                maxLength={60}
                onChange={(e) => {
                  set(`${at}/name`, e.currentTarget.value);
                }}
              />
              <RemoveRow label={words.removeBag(bag.name)} from="/buy/bags" row={i} labelled />
            </Group>
            <Group gap="xs" align="flex-start">
              {said.map((f) => (
                <Said key={f} at={`${at}/${f}`} value={bag[f]} label={words.bag[f]} />
              ))}
            </Group>
            <div className={classes.grid}>
              {amounts.map((f) => (
                <Amount key={f} at={`${at}/${f}`} value={bag[f]} label={words.bag[f]} />
              ))}
              {optional.map((f) => (
                <Amount key={f} at={`${at}/${f}`} value={bag[f]} label={words.bag[f]} optional />
              ))}
            </div>
          </div>
        );
      })}
      <Button
        size="compact-sm"
        variant="subtle"
        onClick={() => {
          add(fresh(buy.bags));
        }}
      >
        {words.addBag}
      </Button>
      {known.map((bag) => (
        <Button
          key={bag.name}
          size="compact-sm"
          variant="subtle"
          onClick={() => {
            add({ ...bag, id: fresh(buy.bags).id });
          }}
        >
          {yardNames.bag(bag.name)}
        </Button>
      ))}
    </fieldset>
  );
}
