import { Button, Checkbox, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { api, type Enum, type GearReport, type JobEvent, type ShopLine } from '../../api/client';
import { goodName } from '../../common/goodName';
import { amountText, packsText } from '../../common/goodText';
import { calendarDay, number } from '../../format/format';
import { useDiaryOf, useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { useDevice } from '../../job/useDevice';
import { useFollow } from '../../job/useFollow';
import { useShop } from '../../job/useShop';
import { app, gear as gearNames, gearSources, goodGroups, shop as words, workTasks } from '../../words';
import { Instead } from './Instead';
import classes from './ShopStep.module.css';
import { TookSome } from './TookSome';

/** Dearer a thing is not: a slip of the pen. */
const MOST_PRICE = 1_000_000;

/** A line of the log about one thing, that stands. */
const linesOf = (lines: JobEvent[], good: string) => {
  const out = new Set(lines.flatMap((l) => (l.kind === 'withdrawn' ? [l.line] : [])));
  return lines.filter(
    (l) => (l.kind === 'goodBought' || l.kind === 'goodMissing') && l.good === good && !out.has(l.id),
  );
};

function Thing({ line, name }: { line: ShopLine; name: string }) {
  const { format } = useEditing();
  const { tell, lines } = useDiaryOf();
  const device = useDevice();
  const pour = usePlanned().report.pour ?? '';
  const { good } = line.line;
  const { elements } = useDocument();
  const last = linesOf(lines, good).at(-1);
  const bought = (amount: number) => {
    tell({ kind: 'goodBought', good, amount, pour }, { device });
  };
  return (
    <li className={classes.thing} data-state={line.state} data-good={good}>
      <Checkbox
        size="lg"
        aria-label={words.got(name)}
        checked={line.state === 'bought'}
        onChange={() => {
          if (line.state !== 'bought') bought(line.leftAmount);
          else if (last) tell({ kind: 'withdrawn', line: last.id, pour });
        }}
      />
      <div>
        <b>
          {packsText({ ...line.line, packs: line.state === 'bought' ? line.line.packs : line.left }, format)}
        </b>{' '}
        {name}
        <small>
          {words.forWork(
            line.for
              .map((u) =>
                words.usedBy(
                  workTasks[u.task].title.toLowerCase(),
                  u.element !== null && elements.length > 1 ? (elements[u.element]?.name ?? '') : '',
                  line.for.length > 1 ? amountText(line.line, u.amount, format) : '',
                ),
              )
              .join(', '),
          )}
        </small>
        <small>
          {line.state === 'notToBeHad' && words.notHad(line.toldBy)}
          {line.inCar > 0 && ` ${words.inCar(amountText(line.line, line.inCar, format), line.toldBy)}`}
        </small>
        {line.state !== 'bought' && (
          <div className={classes.keys}>
            <TookSome line={line} name={name} onTake={bought} />
            {line.state === 'open' && (
              <Button
                size="compact-sm"
                variant="subtle"
                aria-label={words.noneOf(name)}
                onClick={() => {
                  tell({ kind: 'goodMissing', good, pour }, { device });
                }}
              >
                {words.none}
              </Button>
            )}
            {last && (
              <Button
                size="compact-sm"
                variant="subtle"
                aria-label={words.backOf(name)}
                onClick={() => {
                  tell({ kind: 'withdrawn', line: last.id, pour });
                }}
              >
                {words.back}
              </Button>
            )}
          </div>
        )}
        {line.state === 'notToBeHad' && <Instead line={line} />}
      </div>
      <span className={classes.cost}>{format.money(line.line.cost)}</span>
    </li>
  );
}

function GearLine({ line }: { line: GearReport }) {
  const document = useDocument();
  const { edit, format } = useEditing();
  const name = gearNames[line.gear];
  const said = document.buy.gear?.find((g) => g.gear === line.gear);
  const say = (from: Enum<'GearSource'>, price: number) => {
    edit(null, (job) => ({
      ...job,
      buy: {
        ...job.buy,
        gear: [...(job.buy.gear ?? []).filter((g) => g.gear !== line.gear), { gear: line.gear, from, price }],
      },
    }));
  };
  const [wrong, setWrong] = useState(false);
  const [first] = line.days;
  const priced = line.from === 'hire' || line.from === 'buy';
  return (
    <li className={classes.gear} data-gear={line.gear}>
      <div>
        <b>{name}</b>
        <small>
          {line.for.map((t) => workTasks[t].title.toLowerCase()).join(', ')}
          {first !== undefined &&
            line.from === 'hire' &&
            `; ${words.days(number(line.days.length), `${calendarDay(first).weekday} ${calendarDay(first).day}`)}`}
        </small>
      </div>
      <NativeSelect
        size="xs"
        aria-label={words.gearFrom(name)}
        value={line.from}
        data={Object.entries(gearSources).map(([value, label]) => ({ value, label }))}
        onChange={(e) => {
          say(e.currentTarget.value as Enum<'GearSource'>, said?.price ?? 0);
        }}
      />
      {priced && (
        <input
          className={classes.price}
          aria-label={words.gearPrice(name, line.from === 'hire')}
          aria-invalid={wrong}
          title={wrong ? words.gearWrong : undefined}
          inputMode="decimal"
          defaultValue={line.price === 0 ? '' : String(line.price)}
          onChange={(e) => {
            const price = Number(e.currentTarget.value.replace(',', '.'));
            const sound = Number.isFinite(price) && price >= 0 && price <= MOST_PRICE;
            setWrong(!sound);
            if (sound) say(line.from, price);
          }}
        />
      )}
      {priced && wrong && (
        <small className={classes.wrong} role="alert">
          {words.gearWrong}
        </small>
      )}
      <span className={classes.cost}>{line.cost > 0 ? format.money(line.cost) : ''}</span>
    </li>
  );
}

/** The shopping list as it is held in a shop: large ticks, what is left, the sum; shared between phones by the log. */
export function ShopStep() {
  const report = useShop();
  useFollow();
  const document = useDocument();
  const { format } = useEditing();
  const [onlyOpen, setOnlyOpen] = useState(false);
  const { data: bags = [] } = api.useQuery('get', '/api/bags', undefined, { staleTime: Infinity });
  const lines = report?.lines ?? [];
  return (
    <section className={classes.page} aria-labelledby="shop-title">
      <header className={classes.head}>
        <h2 id="shop-title">{words.title}</h2>
        <p data-testid="sentence">
          {report === null
            ? app.loading
            : lines.length === 0
              ? words.blocked
              : words.sentence(
                  number(report.open),
                  format.money(report.leftCost),
                  format.money(report.spentCost),
                )}
        </p>
        <Checkbox
          label={words.onlyOpen}
          checked={onlyOpen}
          onChange={(e) => {
            setOnlyOpen(e.currentTarget.checked);
          }}
        />
      </header>
      <div className={classes.lists} data-testid="shop">
        <div>
          {(Object.keys(goodGroups) as Enum<'GoodGroup'>[]).map((group) => {
            const all = lines.filter((l) => l.line.group === group);
            const left = all.filter((l) => l.state !== 'bought');
            const shown = onlyOpen ? left : all;
            return shown.length === 0 ? null : (
              <section key={group} aria-label={goodGroups[group]}>
                <h3>{words.group(goodGroups[group], number(left.length))}</h3>
                <ul>
                  {shown.map((l) => (
                    <Thing
                      key={l.line.good}
                      line={l}
                      name={goodName(l.line, bags, document.buy.bags, format)}
                    />
                  ))}
                </ul>
              </section>
            );
          })}
        </div>
        {report !== null && report.gear.length > 0 && (
          <section aria-label={words.gearTitle}>
            <h3>
              {words.gearTitle}{' '}
              {report.gearCost > 0 && <small>{words.gearCost(format.money(report.gearCost))}</small>}
            </h3>
            <p className={classes.hint}>{words.gearHint}</p>
            <ul>
              {report.gear.map((g) => (
                <GearLine key={`${g.gear}${g.from}`} line={g} />
              ))}
            </ul>
          </section>
        )}
      </div>
    </section>
  );
}
