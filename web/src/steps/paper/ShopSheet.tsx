import { api, type Enum } from '../../api/client';
import { goodName } from '../../common/goodName';
import { amountText, packsText } from '../../common/goodText';
import { number } from '../../format/format';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { gear as gearNames, gearSources, goodGroups, paper as words, shop as shopWords } from '../../words';
import { useShop } from '../../job/useShop';
import classes from './Paper.module.css';
import { Sheet } from './Sheet';

/** The shopping list by groups, with boxes; what is hired and bought to hold in the hand with it. */
export function ShopSheet() {
  const { buy } = usePlanned().sections;
  const document = useDocument();
  const { format } = useEditing();
  const shop = useShop();
  const { data: bags = [] } = api.useQuery('get', '/api/bags', undefined, { staleTime: Infinity });
  if (!buy) return null;
  const wanted = shop?.gear.filter((g) => g.from !== 'own') ?? [];
  return (
    <Sheet sheet="shop">
      <table className={classes.table}>
        <thead>
          <tr>
            <th scope="col">{words.thing}</th>
            <th scope="col">{words.take}</th>
            <th scope="col">{words.cost}</th>
          </tr>
        </thead>
        {(Object.keys(goodGroups) as Enum<'GoodGroup'>[]).map((group) => {
          const here = buy.lines.filter((l) => l.group === group && l.packs.length > 0);
          return here.length === 0 ? null : (
            <tbody key={group}>
              <tr className={classes.group}>
                <th scope="rowgroup" colSpan={3}>
                  {goodGroups[group]}
                </th>
              </tr>
              {here.map((l) => (
                <tr key={l.good}>
                  <th scope="row">☐ {goodName(l, bags, document.buy.bags, format)}</th>
                  <td className={classes.figures}>
                    {packsText(l, format)}
                    {l.unit !== 'piece' && <small> ({amountText(l, l.used, format)})</small>}
                  </td>
                  <td className={classes.figures}>{format.money(l.cost)}</td>
                </tr>
              ))}
            </tbody>
          );
        })}
        <tbody>
          {document.buy.extras.map((e, i) => (
            <tr key={i}>
              <th scope="row">☐ {e.name}</th>
              <td className={classes.figures}>{number(e.count, 1)}</td>
              <td />
            </tr>
          ))}
          {wanted.length > 0 && (
            <tr className={classes.group}>
              <th scope="rowgroup" colSpan={3}>
                {shopWords.gearTitle}
              </th>
            </tr>
          )}
          {wanted.map((g) => (
            <tr key={g.gear}>
              <th scope="row">☐ {gearNames[g.gear]}</th>
              <td>{gearSources[g.from]}</td>
              <td className={classes.figures}>{g.cost > 0 ? format.money(g.cost) : ''}</td>
            </tr>
          ))}
          <tr className={classes.group}>
            <th scope="row" colSpan={2}>
              {words.sum}
            </th>
            <td className={classes.figures}>{format.money(buy.cost)}</td>
          </tr>
        </tbody>
      </table>
    </Sheet>
  );
}
