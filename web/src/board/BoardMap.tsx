import { useState } from 'react';
import type { Enum } from '../api/client';
import { number } from '../format/format';
import { Scrub } from '../drawing/Scrub';
import { ZoneMap } from '../drawing/ZoneMap';
import { stageOf } from '../drawing/zoneStage';
import { board as words, passes, readiness, thumbMarks } from '../words';
import classes from './Board.module.css';
import partsStyles from './Parts.module.css';
import { useBoard } from './session';
import { placedBatches } from './thing';

/** The readiness map with its scrubber, and what is seen of the zone that is chosen: two taps. */
export function BoardMap({ zone, onZone }: { zone: number | null; onZone: (zone: number) => void }) {
  const { report, now, tell, pour, format, rehearsal } = useBoard();
  const [looked, look] = useState<number | null>(null);
  const [element, setElement] = useState<number | null>(null);
  const { board, day, shape } = report;
  if (!board || !day || !shape) return null;
  const at = looked ?? now;
  const of = day.zones.find((z) => z.number === zone);
  const shown = element ?? of?.element ?? day.zones[0]?.element ?? 0;
  const drawn = shape.elements.find((e) => e.index === shown);
  const parts = [...new Set(day.zones.map((z) => z.element))];
  const shows = rehearsal?.zones.find((z) => z.number === zone);
  const known = board.zones.find((z) => z.number === zone);
  const stage = of && stageOf(of.stages, at);
  const open = board.todo.find((t) => t.zone === zone);
  // Where nothing lies there is nothing to make.
  const lies = open !== undefined && (open.begun !== null || placedBatches(board) >= open.batch);
  return (
    <>
      {parts.length > 1 && (
        <div className={partsStyles.row}>
          {parts.map((p) => (
            <button
              key={p}
              type="button"
              aria-pressed={p === shown}
              onClick={() => {
                setElement(p);
              }}
            >
              {shape.elements.find((e) => e.index === p)?.name}
            </button>
          ))}
        </div>
      )}
      <div className={partsStyles.map}>
        {drawn && (
          <ZoneMap
            element={drawn}
            zones={day.zones}
            at={at}
            chosen={zone}
            onChoose={onZone}
            format={format}
            large
          />
        )}
      </div>
      <div className={partsStyles.scrub}>
        <Scrub
          from={Date.parse(day.start)}
          until={Date.parse(day.doneBy)}
          at={at}
          onLook={look}
          format={format}
        />
        <button
          type="button"
          disabled={looked === null}
          onClick={() => {
            look(null);
          }}
        >
          {looked === null ? words.mapAt(format.time(new Date(at).toISOString())) : words.mapNow}
        </button>
      </div>
      <section className={partsStyles.seen} aria-label={words.seen} data-testid="seen">
        {!of || !known ? (
          <p>{words.pickZone}</p>
        ) : (
          <>
            <p className={partsStyles.lead}>
              {words.zone(number(of.number))}:{' '}
              {stage && readiness[stage.is](stage.pass ? passes[stage.pass].toLowerCase() : '')}
              <small>
                {' '}
                {known.laterPct >= 0.5
                  ? words.laterPct(number(known.laterPct))
                  : known.laterPct <= -0.5
                    ? words.soonerPct(number(Math.abs(known.laterPct)))
                    : words.asPlanned}
                , {words.giveOrTake(number(known.doubtPct))}
              </small>
            </p>
            {shows?.thumb != null && (
              <p data-testid="shows">
                {words.rehearse.see}: {shows.sheen ? words.rehearse.sheen : words.rehearse.noSheen};{' '}
                {thumbMarks[shows.thumb]}
                {!shows.lightPrint && `; ${thumbMarks.noLightPrint}`}
              </p>
            )}
            {shows == null && <p>{words.thumb}</p>}
            <div className={partsStyles.signs}>
              <button
                type="button"
                disabled={known.sheenSeen !== null}
                onClick={() => tell({ kind: 'sheenGone', zone: of.number, pour })}
              >
                {words.sheenGone}
              </button>
              {(Object.keys(thumbMarks) as Enum<'ThumbMark'>[]).map((mark) => (
                <button
                  key={mark}
                  type="button"
                  onClick={() => tell({ kind: 'thumbTest', zone: of.number, mark, pour })}
                >
                  {thumbMarks[mark]}
                </button>
              ))}
              {open && lies && (
                <button
                  type="button"
                  className={classes.strong}
                  onClick={() =>
                    tell({
                      kind: open.begun === null ? 'passBegun' : 'passDone',
                      zone: open.zone,
                      pass: open.pass,
                      pour,
                    })
                  }
                >
                  <small>{passes[open.pass]}</small>
                  {open.begun === null ? words.beginPass : words.donePass}
                </button>
              )}
            </div>
          </>
        )}
      </section>
    </>
  );
}
