import { Fragment } from 'react';
import type { Bag, BuyLine, BuyReport } from '../../api/client';
import { number } from '../../format/format';
import { goodName } from '../../common/goodName';
import { goodGroups, buy as words } from '../../words';
import { useDocument, useEditing } from '../../job/JobContext';
import { NumberCell } from './NumberCell';
import { amountText, packsText } from '../../common/goodText';
import { priced, stocked, today } from './rows';
import table from '../../common/Table.module.css';
import classes from './ShoppingList.module.css';

function Line({ line, name }: { line: BuyLine; name: string }) {
  const document = useDocument();
  const { edit, format } = useEditing();
  const { shed, prices } = document.buy;
  const there = shed.findIndex((s) => s.good === line.good);
  const stock = `/buy/shed/${there < 0 ? shed.length : there}/amount` as const;
  return (
    <tr>
      <th scope="row">{name}</th>
      <td>{amountText(line, line.used, format)}</td>
      <td className={classes.input}>
        <NumberCell
          label={words.shedOf(name)}
          value={shed[there]?.amount ?? null}
          placeholder="0"
          at={stock}
          onSay={(v) => {
            edit(stock, (job) => ({ ...job, buy: stocked(job.buy, line.good, v) }));
          }}
        />
      </td>
      <td className={classes.take}>{packsText(line, format)}</td>
      <td className={classes.input}>
        {line.packs.map((p) => {
          const noted = prices.findIndex((x) => x.good === p.id);
          const at = `/buy/prices/${noted < 0 ? prices.length : noted}/price` as const;
          return (
            <NumberCell
              key={p.id}
              label={words.priceOf(
                line.packs.length > 1 ? `${name} ${amountText(line, p.size, format)}` : name,
              )}
              value={prices[noted]?.price ?? null}
              placeholder={format.money(p.price)}
              at={at}
              onSay={(v) => {
                edit(at, (job) => ({ ...job, buy: priced(job.buy, p.id, v, today()) }));
              }}
            />
          );
        })}
      </td>
      <td>
        {format.money(line.cost)}
        {line.packs.some((p) => p.noted) && (
          <small>{words.noted(line.packs.find((p) => p.noted)?.date ?? '')}</small>
        )}
      </td>
    </tr>
  );
}

/** Everything to buy, by part of the budget. Prices and what is in the shed are typed where they stand. */
export function ShoppingList({ buy, bags }: { buy: BuyReport; bags: Bag[] }) {
  const document = useDocument();
  const { format } = useEditing();
  return (
    <div className={classes.list}>
      <table className={`${table.table ?? ''} ${classes.table ?? ''}`} data-testid="shopping">
        <caption className="visually-hidden">{words.views.list}</caption>
        <thead>
          <tr>
            <th scope="col">{words.thing}</th>
            <th scope="col">{words.needed}</th>
            <th scope="col">{words.shed}</th>
            <th scope="col">{words.take}</th>
            <th scope="col">{words.each}</th>
            <th scope="col">{words.line}</th>
          </tr>
        </thead>
        <tbody>
          {buy.groups.map((g) => (
            <Fragment key={g.group}>
              <tr className={classes.group}>
                <th scope="rowgroup" colSpan={5}>
                  {goodGroups[g.group]}
                </th>
                <td>{format.money(g.cost)}</td>
              </tr>
              {buy.lines
                .filter((l) => l.group === g.group)
                .map((l) => (
                  <Line key={l.good} line={l} name={goodName(l, bags, document.buy.bags, format)} />
                ))}
            </Fragment>
          ))}
          {buy.gearCost > 0 && (
            <tr className={classes.group}>
              <th scope="rowgroup" colSpan={5}>
                {words.gear}
              </th>
              <td>{format.money(buy.gearCost)}</td>
            </tr>
          )}
          {document.buy.extras.length > 0 && (
            <tr className={classes.group}>
              <th scope="rowgroup" colSpan={5}>
                {words.extras}
              </th>
              <td>{format.money(buy.extrasCost)}</td>
            </tr>
          )}
          {document.buy.extras.map((e, i) => (
            <tr key={i}>
              <th scope="row">{e.name}</th>
              <td />
              <td />
              <td className={classes.take}>{number(e.count, 1)}</td>
              <td>{format.money(e.price)}</td>
              <td />
            </tr>
          ))}
        </tbody>
      </table>
      <p className={classes.hint}>{words.typicalLong}</p>
    </div>
  );
}
