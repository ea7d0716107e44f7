import { useState } from 'react';
import type { DayReport, ElementReport } from '../api/client';
import type { Formats } from '../format/format';
import { board as words } from '../words';
import { Scrub } from './Scrub';
import { ZoneMap } from './ZoneMap';
import classes from './ZoneScrub.module.css';

interface ZoneScrubProps {
  element: ElementReport;
  day: DayReport;
  format: Formats;
}

/** The readiness map of a day to come, with a scrubber through it. */
export function ZoneScrub({ element, day, format }: ZoneScrubProps) {
  const [from, until] = [Date.parse(day.start), Date.parse(day.doneBy)];
  const [looked, look] = useState<number | null>(null);
  const [zone, choose] = useState<number | null>(null);
  // Half-way through it there is most to see.
  const at = Math.min(until, Math.max(from, looked ?? (from + until) / 2));
  const time = format.time(new Date(at).toISOString());
  return (
    <div className={classes.box}>
      <ZoneMap element={element} zones={day.zones} at={at} chosen={zone} onChoose={choose} format={format} />
      <label className={classes.scrub}>
        <span>{words.mapAt(time)}</span>
        <Scrub from={from} until={until} at={at} onLook={look} format={format} />
      </label>
    </div>
  );
}
