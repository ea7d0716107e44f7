import { Button } from '@mantine/core';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, http, type LearntEffect, type LearntValue } from '../api/client';
import { change, formatsFor, number } from '../format/format';
import { useRole } from '../own/useRole';
import { learnt as words, learntWhose, yard as yardWords } from '../words';
import { bagName } from './bagName';
import classes from './LearntList.module.css';
import { SaidDots } from './SaidDots';
import type { LearntHandle } from './useLearnt';

/** What a person would see of it; nothing where it is less than a minute, a litre, a tenth of a bag. */
function effectText(e: LearntEffect): string {
  const f = formatsFor(e.units, e.timeZone);
  const shown = (sum: LearntEffect['before']) => ({
    mixingEnds: f.time(sum.mixingEnds),
    doneBy: f.time(sum.doneBy),
    order: f.bulk(sum.orderL),
    bags: number(sum.bags, 1),
  });
  const [before, after] = [shown(e.before), shown(e.after)];
  const changes = [
    before.mixingEnds === after.mixingEnds ? '' : words.mixingEnds(after.mixingEnds, before.mixingEnds),
    before.doneBy === after.doneBy ? '' : words.doneBy(after.doneBy, before.doneBy),
    before.order === after.order ? '' : words.orders(after.order, before.order),
    before.bags === after.bags ? '' : words.orders(yardWords.bags(after.bags), before.bags),
  ].filter(Boolean);
  return changes.length === 0 ? '' : words.changed(e.name, changes.join(', '));
}

/** Where a value would be used, and what of the plans there would change. */
function Effects({ value }: { value: LearntValue }) {
  const { data } = useQuery({
    queryKey: ['learnt-effects', value.key, value.now.factor, value.inUse.factor],
    queryFn: async ({ signal }) =>
      (await http.POST('/api/learnt/effects', { body: value.key, signal })).data ?? [],
    placeholderData: keepPreviousData,
    staleTime: 60_000,
  });
  if (!data) return null;
  const seen = data.map((e) => ({ job: e.job, text: effectText(e) })).filter((e) => e.text !== '');
  return (
    <ul className={classes.effects} aria-label={words.changes} data-testid="effects">
      {seen.length === 0 && <li>{words.noChange}</li>}
      {seen.map(({ job, text }) => (
        <li key={job}>{text}</li>
      ))}
    </ul>
  );
}

interface OneProps {
  value: LearntValue;
  whose: string;
  say: LearntHandle['say'];
}

function One({ value, whose, say }: OneProps) {
  const title = `${words.of[value.key.of]}: ${whose}`;
  const { inUse, now, asks, word } = value;
  const plans = useRole() === 'plan';
  return (
    <li
      className={classes.value}
      data-testid="learnt"
      data-of={value.key.of}
      data-word={word}
      data-asks={asks}
    >
      <div className={classes.text}>
        <b>{words.of[value.key.of]}</b> <span className={classes.whose}>{whose}</span>
        <p>
          {inUse.pours > 0 && (
            <>
              {words.now} <strong>{change(inUse.factor)}</strong>
              {asks ? ', ' : ' '}
            </>
          )}
          {(asks || inUse.pours === 0) && (
            <>
              {words.would} <strong>{change(now.factor)}</strong>{' '}
            </>
          )}
          <small>
            {words.from(now.pours)}, {words.spread(change(now.low), change(now.high))}
          </small>
        </p>
        {asks && <Effects value={value} />}
      </div>
      <SaidDots value={value} title={title} />
      {plans && (
        <div className={classes.keys}>
          {asks && (
            <>
              <Button
                size="compact-sm"
                aria-label={`${words.take}: ${title}`}
                onClick={() => void say(value.key, 'taken')}
              >
                {words.take}
              </Button>
              <Button
                size="compact-sm"
                variant="default"
                aria-label={`${words.refuse}: ${title}`}
                onClick={() => void say(value.key, 'refused')}
              >
                {words.refuse}
              </Button>
            </>
          )}
          {word === 'refused' && (
            <Button
              size="compact-sm"
              variant="default"
              aria-label={`${words.ask}: ${title}`}
              onClick={() => void say(value.key, 'none')}
            >
              {words.ask}
            </Button>
          )}
          {word === 'taken' && (
            <Button
              size="compact-sm"
              variant="default"
              aria-label={`${words.undo}: ${title}`}
              onClick={() => void say(value.key, 'none')}
            >
              {words.undo}
            </Button>
          )}
        </div>
      )}
    </li>
  );
}

/** What pours have taught: what waits for a word first, then what is in use, what was refused, and what is too little to matter. */
export function LearntList({
  learnt,
  only,
}: {
  learnt: LearntHandle;
  only?: (value: LearntValue) => boolean;
}) {
  const { data: bags = [] } = api.useQuery('get', '/api/bags', {}, { staleTime: Infinity });
  const { data: things } = api.useQuery('get', '/api/things', {}, { staleTime: 60_000 });
  // A bag's mass is read in the units of the pour that told of it last.
  const formatOf = (v: LearntValue) => {
    const last = v.said.at(-1);
    const pour = learnt.report?.pours.find((p) => p.job === last?.job && p.pour === last.pour);
    return formatsFor(pour?.units ?? 'metric', pour?.timeZone ?? 'UTC');
  };
  const values = (learnt.report?.values ?? []).filter(only ?? (() => true));
  const groups: [string, LearntValue[]][] = [
    [words.asks, values.filter((v) => v.asks)],
    [words.inUse, values.filter((v) => !v.asks && v.inUse.pours > 0 && v.word !== 'refused')],
    [words.refused, values.filter((v) => v.word === 'refused')],
    [words.quiet, values.filter((v) => !v.asks && v.word !== 'refused' && v.inUse.pours === 0)],
  ];
  return (
    <div data-testid="learnt-list">
      {learnt.failed && <p role="alert">{words.failed}</p>}
      <p className={classes.intro}>{values.length === 0 ? words.none : words.intro}</p>
      {groups
        .filter(([, of]) => of.length > 0)
        .map(([title, of]) => (
          <section key={title}>
            <h3 className={classes.group}>{title}</h3>
            <ul className={classes.list}>
              {of.map((v) => (
                <One
                  key={`${v.key.of} ${v.key.what} ${v.key.who}`}
                  value={v}
                  whose={learntWhose(v.key, (id) => bagName(id, bags, things?.bags ?? [], formatOf(v)))}
                  say={learnt.say}
                />
              ))}
            </ul>
          </section>
        ))}
    </div>
  );
}
