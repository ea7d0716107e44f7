import { lazy, Suspense, useState } from 'react';
import { number } from '../format/format';
import { board as words, passes } from '../words';
import partsStyles from './Parts.module.css';
import { useBoard } from './session';

const BoardWhy = lazy(() => import('./BoardWhy').then((m) => ({ default: m.BoardWhy })));

const MOST = 3;

/** What the last thing told changed, and by how much. */
export function Change() {
  const { report, format } = useBoard();
  const [why, setWhy] = useState(false);
  const change = report.board?.change;
  if (!change || change.moved.length === 0) return null;
  const zone = change.zone === null ? words.allZones : words.zone(number(change.zone));
  const { laterPct } = change;
  const how =
    change.sign.kind === 'sheenGone'
      ? words.changedSheen(zone)
      : words.changed(
          zone,
          laterPct >= 0.5
            ? words.laterPct(number(laterPct))
            : laterPct <= -0.5
              ? words.soonerPct(number(Math.abs(laterPct)))
              : words.asPlanned,
        );
  return (
    <section className={partsStyles.change} data-testid="change" aria-live="polite">
      <p>
        <b>{how}</b>:{' '}
        {change.moved
          .slice(0, MOST)
          .map(
            (m) =>
              `${change.zone === m.zone ? '' : `${words.zone(number(m.zone))} `}${words.window(passes[m.pass].toLowerCase(), format.time(m.after.opens), format.time(m.after.closes))} (${words.wasWindow(format.time(m.before.opens), format.time(m.before.closes))})`,
          )
          .join('; ')}
      </p>
      <button
        type="button"
        onClick={() => {
          setWhy(true);
        }}
      >
        {words.why}
      </button>
      {why && (
        <Suspense fallback={null}>
          <BoardWhy
            zone={change.zone}
            line={change.sign.id}
            onClose={() => {
              setWhy(false);
            }}
          />
        </Suspense>
      )}
    </section>
  );
}
