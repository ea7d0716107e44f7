import { UnstyledButton } from '@mantine/core';
import type { Pour } from '../api/client';
import { pourHolds, pourState } from '../common/pourText';
import { useNow } from '../common/useNow';
import { calendarDay, number } from '../format/format';
import { useDocument, useEditing } from '../job/JobContext';
import { usePour } from '../job/usePour';
import { pours as words } from '../words';
import classes from './PourStrip.module.css';

/** Which pour is looked at; nothing is drawn where there is one only. */
export function PourStrip() {
  const { all, pour: shown, several } = usePour();
  const { elements } = useDocument();
  const { choosePour, format } = useEditing();
  const now = useNow();
  if (!several) return null;
  const when = (pour: Pour) =>
    pour.date === null ? words.noDay : `${calendarDay(pour.date).weekday} ${calendarDay(pour.date).day}`;
  return (
    <div className={classes.strip} role="group" aria-label={words.strip} data-testid="pours" data-off-paper>
      {all.map((pour) => (
        <UnstyledButton
          key={pour.id}
          className={classes.pour}
          aria-pressed={pour.id === shown?.id}
          data-state={pourState(pour, now)}
          onClick={() => {
            choosePour(pour.id);
          }}
        >
          <b>
            {number(pour.number)} <span>{when(pour)}</span>
            {pour.startsAt !== null && <small> {format.time(pour.startsAt)}</small>}
          </b>
          <span className={classes.holds}>{pourHolds(pour, elements)}</span>
          <small className={classes.state}>
            {words.states[pourState(pour, now)]}, {format.bulk(pour.volumeL)}
          </small>
        </UnstyledButton>
      ))}
    </div>
  );
}
