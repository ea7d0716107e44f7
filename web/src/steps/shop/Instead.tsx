import { Button } from '@mantine/core';
import { api, type ShopLine } from '../../api/client';
import { wayName } from '../../common/wayName';
import { duration } from '../../format/format';
import { useDocument, useEditing } from '../../job/JobContext';
import { shop as words } from '../../words';
import classes from './ShopStep.module.css';

const SMALL_H = 0.1;

/** What else, where the shop has none: other ways to the same concrete, with what each changes. */
export function Instead({ line }: { line: ShopLine }) {
  const { buy } = useDocument();
  const { edit, format } = useEditing();
  const { data: bags = [] } = api.useQuery('get', '/api/bags', undefined, { staleTime: Infinity });
  if (line.instead.length === 0)
    return (
      <p className={classes.hint}>
        {line.line.group === 'concrete' ? words.noInstead : words.noInsteadThing}
      </p>
    );
  return (
    <div className={classes.instead} data-testid="instead">
      <p className={classes.hint}>{words.insteadTitle}</p>
      <ul>
        {line.instead.map(({ way, takes, moreCost, moreHours }) => {
          const [name] = wayName(way, bags, buy.bags, format);
          return (
            <li key={way.bag ?? way.school ?? way.kind}>
              <span>
                <b>{name}</b>{' '}
                {[
                  Math.abs(moreCost) < 0.5
                    ? words.same
                    : words.cost(format.money(Math.abs(moreCost)), moreCost > 0),
                  moreHours === null || Math.abs(moreHours) < SMALL_H
                    ? ''
                    : words.hours(duration(Math.abs(moreHours) * 60), moreHours > 0),
                  format.strength(way.f28Mpa),
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
              {takes && (
                <Button
                  size="compact-sm"
                  variant="outline"
                  aria-label={words.takeInsteadOf(name)}
                  onClick={() => {
                    edit(null, (job) => ({ ...job, mixes: [takes, ...job.mixes.slice(1)] }));
                  }}
                >
                  {words.takeInstead}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
