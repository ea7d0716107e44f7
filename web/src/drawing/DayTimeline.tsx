import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { DayReport, PassReport } from '../api/client';
import { twoDigits, type Formats } from '../format/format';
import { day as words, passes as passWords } from '../words';
import { DayAir } from './DayAir';
import { HourLines } from './HourLines';
import { AIR, HOUR_MS, RIGHT, TIMES, TOP, frameOf, ms, type Frame } from './dayFrame';
import { DayPeople } from './DayPeople';
import classes from './DayTimeline.module.css';
import { useSize } from './useSize';

const GAP = 44;
/** A start is dragged in steps of so many minutes. */
const SNAP_MIN = 5;
const LAST_MIN = 24 * 60 - SNAP_MIN;

/** When it is too dark to see what one does. */
function Dark({ day, frame, height }: { day: DayReport; frame: Frame; height: number }) {
  const [dawn, dusk] = [ms(day.light.dawn), ms(day.light.dusk)];
  return [
    { from: frame.from, until: Math.min(dawn, frame.until) },
    { from: Math.max(dusk, frame.from), until: frame.until },
  ]
    .filter((d) => d.until > d.from)
    .map((d) => (
      <g key={d.from} data-testid="dark">
        <rect
          x={frame.x(d.from)}
          y={TOP}
          width={frame.x(d.until) - frame.x(d.from)}
          height={height - TOP - 18}
          className={classes.dark}
        />
        <text x={frame.x(d.from) + 5} y={TOP + 14} className={classes.darkText}>
          {words.dark}
        </text>
      </g>
    ));
}

/** One window: solid where it is surely open, pale where it may come sooner or later. */
function Bar({ pass, frame, y, height }: { pass: PassReport; frame: Frame; y: number; height: number }) {
  const x = (instant: string) => Math.min(Math.max(frame.x(ms(instant)), frame.left), frame.x(frame.until));
  return (
    <g>
      <rect
        x={x(pass.opensEarliest)}
        width={Math.max(0, x(pass.closesLatest) - x(pass.opensEarliest))}
        y={y + height * 0.2}
        height={height * 0.6}
        className={classes.band}
      />
      <rect
        x={x(pass.opens)}
        width={Math.max(2, x(pass.closes) - x(pass.opens))}
        y={y}
        height={height}
        className={classes.window}
      />
    </g>
  );
}

interface DayTimelineProps {
  day: DayReport;
  format: Formats;
  /** Local time of the first water, as it is said: 08:30. */
  start: string;
  onStart: (start: string) => void;
}

const minutesOf = (time: string): number => {
  const [hours, minutes] = time.split(':').map(Number);
  return (hours ?? 0) * 60 + (minutes ?? 0);
};

const timeOf = (minutes: number): string => {
  const at = Math.max(0, Math.min(LAST_MIN, Math.round(minutes / SNAP_MIN) * SNAP_MIN));
  return `${twoDigits(Math.floor(at / 60))}:${twoDigits(at % 60)}`;
};

const KEYS: Record<string, number> = {
  ArrowLeft: -SNAP_MIN,
  ArrowDown: -SNAP_MIN,
  ArrowRight: SNAP_MIN,
  ArrowUp: SNAP_MIN,
  PageDown: -60,
  PageUp: 60,
};

/**
 * The day: weather above, and under it when mixing ends, when each pass opens and closes for each zone, and who makes it.
 * The start is dragged along it; while it is, the hours stand still and the day moves over them.
 */
export function DayTimeline({ day, format, start, onStart }: DayTimelineProps) {
  const { ref, width, height, ready } = useSize();
  const [dragged, setDragged] = useState<{ frame: Frame; x: number; minutes: number } | null>(null);
  const frame = dragged?.frame ?? frameOf(day, width);
  const kinds = day.passes.map((p) => p.pass);
  const rowsTop = TOP + AIR + GAP;
  const row = Math.min(58, (height - rowsTop - 22) / (kinds.length + 2));
  const barsTop = frame.narrow ? 17 : 0;
  const bar = (zones: number) => (row - 10 - barsTop) / zones;
  const nameY = frame.narrow ? 10 : row / 2 - 3;
  const inside = (at: number) => Math.min(Math.max(frame.x(at), frame.left), frame.x(frame.until));
  const take = (e: PointerEvent<SVGGElement>) => {
    e.currentTarget.setPointerCapture(e.pointerId);
    setDragged({ frame, x: e.clientX, minutes: minutesOf(start) });
  };
  const drag = (e: PointerEvent<SVGGElement>) => {
    if (dragged === null) return;
    const perMinute = (frame.x(frame.from + HOUR_MS) - frame.x(frame.from)) / 60;
    const next = timeOf(dragged.minutes + (e.clientX - dragged.x) / perMinute);
    if (next !== start) onStart(next);
  };
  const drop = () => {
    setDragged(null);
  };
  const press = (e: KeyboardEvent<SVGGElement>) => {
    const by = KEYS[e.key];
    if (by === undefined) return;
    e.preventDefault();
    onStart(timeOf(minutesOf(start) + by));
  };
  return (
    <div ref={ref} className={classes.box} data-taller>
      {ready && (
        <svg width={width} height={height} role="group" aria-label={words.timeline} data-testid="timeline">
          <HourLines frame={frame} height={height} format={format} />
          <Dark day={day} frame={frame} height={height} />
          <DayAir day={day} frame={frame} format={format} />
          {!frame.narrow && (
            <text x={width - RIGHT} y={18} className={classes.times} data-end>
              {words.dusk(format.time(day.light.dusk))}
            </text>
          )}
          <g transform={`translate(0 ${String(rowsTop)})`}>
            <text x={12} y={nameY} className={classes.rowName}>
              {words.mixing}
            </text>
            <g
              className={classes.handle}
              role="slider"
              tabIndex={0}
              aria-label={words.dragStart}
              aria-valuemin={0}
              aria-valuemax={LAST_MIN}
              aria-valuenow={minutesOf(start)}
              aria-valuetext={words.dragStartValue(start)}
              data-testid="drag-start"
              onPointerDown={take}
              onPointerMove={drag}
              onPointerUp={drop}
              onPointerCancel={drop}
              onKeyDown={press}
            >
              <title>{words.dragHint}</title>
              <rect
                x={inside(ms(day.start))}
                width={Math.max(2, inside(ms(day.mixingEnds)) - inside(ms(day.start)))}
                y={barsTop}
                height={Math.max(3, row - 10 - barsTop)}
                className={classes.mixing}
              />
              <rect
                x={inside(ms(day.start)) - 7}
                width={14}
                y={barsTop - 3}
                height={Math.max(12, row - 4 - barsTop)}
                rx={3}
                className={classes.grip}
              />
            </g>
            <text
              x={frame.narrow ? width - RIGHT : inside(ms(day.mixingEnds)) + 8}
              y={nameY}
              className={classes.times}
              data-end={frame.narrow}
            >
              {words.span(format.time(day.start), format.time(day.mixingEnds))}
            </text>
          </g>
          {kinds.map((kind, k) => {
            const top = rowsTop + (k + 1) * row;
            const zones = day.zones.flatMap((z) => z.passes.filter((p) => p.pass === kind));
            const all = day.passes[k];
            return (
              <g key={kind}>
                <line x1={8} x2={width - RIGHT} y1={top - 4} y2={top - 4} className={classes.rule} />
                <text x={12} y={top + nameY} className={classes.rowName}>
                  {passWords[kind]}
                </text>
                {zones.map((p, z) => (
                  <Bar
                    key={z}
                    pass={p}
                    frame={frame}
                    y={top + barsTop + z * bar(zones.length)}
                    height={Math.max(3, bar(zones.length) - 2)}
                  />
                ))}
                {all && (
                  <text
                    x={
                      frame.narrow
                        ? width - RIGHT
                        : Math.min(inside(ms(all.closesLatest)) + 6, width - RIGHT - TIMES)
                    }
                    y={top + nameY}
                    className={classes.times}
                    data-end={frame.narrow}
                  >
                    {words.span(format.time(all.opens), format.time(all.closes))}
                  </text>
                )}
              </g>
            );
          })}
          <g transform={`translate(0 ${String(rowsTop + (kinds.length + 1) * row)})`} data-testid="people">
            <line x1={8} x2={width - RIGHT} y1={-4} y2={-4} className={classes.rule} />
            <text x={12} y={nameY} className={classes.rowName}>
              {words.people}
              <title>{words.peopleCount(day.hands)}</title>
            </text>
            <DayPeople
              day={day}
              frame={frame}
              y={barsTop}
              height={Math.max(4, row - 10 - barsTop)}
              format={format}
            />
          </g>
        </svg>
      )}
    </div>
  );
}
