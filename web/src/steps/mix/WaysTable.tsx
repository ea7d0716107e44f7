import { Button } from '@mantine/core';
import type { Bag, BuyDocument, MixDocument, WayReport } from '../../api/client';
import { fixed, number, type Formats } from '../../format/format';
import { wayMisfits, mix as words } from '../../words';
import { wayName } from '../../common/wayName';
import table from '../../common/Table.module.css';
import classes from './WaysTable.module.css';

interface WaysTableProps {
  ways: WayReport[];
  leastMpa: number;
  bags: Bag[];
  own: BuyDocument['bags'];
  format: Formats;
  onTake: (takes: MixDocument) => void;
}

/** A bar as long as the strength, with a mark where it has to reach. */
function Bar({ mpa, least, top }: { mpa: number; least: number; top: number }) {
  const share = (v: number) => `${fixed((v / top) * 100, 1)}%`;
  return (
    <span className={classes.bar} aria-hidden>
      <span className={classes.reach} style={{ width: share(mpa) }} data-short={mpa < least} />
      {least > 0 && <span className={classes.least} style={{ left: share(least) }} />}
    </span>
  );
}

/** All ways to get the concrete side by side: those that do first, the cheapest of them proposed. */
export function WaysTable({ ways, leastMpa, bags, own, format, onTake }: WaysTableProps) {
  const top = Math.max(leastMpa, ...ways.map((w) => w.way.f28Mpa)) * 1.05;
  return (
    <table
      className={`${table.table ?? ''} ${classes.table ?? ''}`}
      aria-label={words.waysTable}
      data-testid="ways"
    >
      <thead>
        <tr>
          <th scope="col">{words.way}</th>
          <th scope="col">{words.strength}</th>
          <th scope="col">{words.waterCement}</th>
          <th scope="col">{words.cost}</th>
          <th scope="col">{words.hours}</th>
          <th scope="col">{words.carry}</th>
          <th scope="col">
            <span className="visually-hidden">{words.take}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {ways.map(({ way, takes }) => {
          const [name, reason] = wayName(way, bags, own, format);
          const misfit = way.misfits.map((m) => wayMisfits[m]).join(', ');
          return (
            <tr key={way.bag ?? way.school ?? way.kind} data-fits={misfit === ''} data-taken={way.taken}>
              <th scope="row">
                <span className={classes.name}>
                  {name}
                  {way.proposed && <em className={classes.proposed}>{words.proposed}</em>}
                </span>
                <small>{misfit === '' ? reason : misfit}</small>
              </th>
              <td>
                {format.strength(way.f28Mpa)}
                <Bar mpa={way.f28Mpa} least={leastMpa} top={top} />
              </td>
              <td>{way.waterCement === null ? '–' : fixed(way.waterCement, 2)}</td>
              <td>
                {format.money(way.cost)}
                <small>{words.eachSpoken(format.moneyEach(way.perLitre), format.units === 'us')}</small>
              </td>
              <td>{way.hours === null ? '–' : `${number(way.hours, 1)} h`}</td>
              <td>{way.kg === 0 ? '–' : format.mass(way.kg)}</td>
              <td>
                {way.taken ? (
                  <b>{words.taken}</b>
                ) : (
                  takes && (
                    <Button
                      size="compact-xs"
                      variant="outline"
                      aria-label={words.takeWay(name)}
                      onClick={() => {
                        onTake(takes);
                      }}
                    >
                      {words.take}
                    </Button>
                  )
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
