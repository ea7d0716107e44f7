import type { BatchReport, ElementReport, PlanPoint } from '../api/client';
import type { Formats } from '../format/format';
import { load as words } from '../words';
import classes from './FillPlan.module.css';
import { barFor, fit, type Fit } from './fit';
import { ScaleBar } from './Patterns';
import { reaches, ringPath, within } from './ring';
import { useSize } from './useSize';

interface FillPlanProps {
  element: ElementReport;
  batches: BatchReport[];
  /** Number of the zone that each batch is finished with, from 1; 0 where the day is not known. */
  zoneOf: (batch: number) => number;
  chosen: number;
  onChoose: (batch: number) => void;
  format: Formats;
}

const MARGIN = 46;
const BAR_ROOM = 20;
/** Patterns tell neighbouring zones apart, not colour alone. */
const LOOKS = 3;

const path = (ring: PlanPoint[], at: Fit) =>
  ring.length < 3 ? '' : `M${ring.map((p) => `${at.x(p.x).toFixed(1)} ${at.y(p.y).toFixed(1)}`).join('L')}Z`;

/** Where the number of a part stands: the middle of its box, or half-way along a band whose box has its middle outside. */
function middle(ring: PlanPoint[], at: Fit) {
  const xs = ring.map((p) => at.x(p.x));
  const ys = ring.map((p) => at.y(p.y));
  const box = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
  const i = Math.floor((ring.length - 1) / 4);
  const j = ring.length - 1 - i;
  const along = { x: ((xs[i] ?? 0) + (xs[j] ?? 0)) / 2, y: ((ys[i] ?? 0) + (ys[j] ?? 0)) / 2 };
  return {
    ...(within(
      box,
      xs.map((x, k) => ({ x, y: ys[k] ?? 0 })),
    )
      ? box
      : along),
    room: Math.min(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)),
  };
}

/** The plan with every batch where it lies, numbered in the order of pouring; zones of one age share a pattern. */
export function FillPlan({ element, batches, zoneOf, chosen, onChoose, format }: FillPlanProps) {
  const { ref, width, height, ready } = useSize();
  const at = fit(reaches(element.corners, element.edges), width, height - BAR_ROOM, MARGIN);
  const bar = barFor(at.scale, format.units);
  const here = batches.flatMap((b) =>
    b.fills
      .filter((f) => f.element === element.index)
      .flatMap((f) => f.pieces.map((ring) => ({ batch: b, ring }))),
  );
  return (
    <div ref={ref} className={classes.box}>
      {here.length === 0 && <p className={classes.none}>{words.noPlan}</p>}
      {ready && here.length > 0 && (
        <svg
          width={width}
          height={height}
          role="group"
          aria-label={words.plan(element.name)}
          data-testid="fill-plan"
        >
          <defs>
            <pattern
              id="zone-1"
              width={9}
              height={9}
              patternUnits="userSpaceOnUse"
              patternTransform="rotate(45)"
            >
              <line x1={0} x2={0} y1={0} y2={9} className={classes.hatch} />
            </pattern>
            <pattern id="zone-2" width={9} height={9} patternUnits="userSpaceOnUse">
              <circle cx={3} cy={3} r={1.3} className={classes.dot} />
            </pattern>
          </defs>
          {here.map(({ batch, ring }, i) => {
            const zone = zoneOf(batch.number);
            const look = (zone - 1 + LOOKS) % LOOKS;
            const label = [
              words.batch(batch.number),
              zone > 0 ? words.zone(zone) : '',
              batch.waterAdded ? words.inAt(format.time(batch.waterAdded)) : '',
            ]
              .filter(Boolean)
              .join(', ');
            const text = middle(ring, at);
            return (
              <g
                key={i}
                role="button"
                tabIndex={0}
                aria-pressed={batch.number === chosen}
                aria-label={label}
                className={classes.part}
                onClick={() => {
                  onChoose(batch.number);
                }}
                onKeyDown={(e) => {
                  if (e.key === 'Enter' || e.key === ' ') {
                    e.preventDefault();
                    onChoose(batch.number);
                  }
                }}
              >
                <path d={path(ring, at)} className={classes.fill} data-look={look} />
                {look > 0 && <path d={path(ring, at)} fill={`url(#zone-${String(look)})`} />}
                <path d={path(ring, at)} className={classes.edge} />
                {text.room > 15 && (
                  <text x={text.x} y={text.y + 5} className={classes.number}>
                    {batch.number}
                  </text>
                )}
                {text.room > 46 && batch.waterAdded !== null && (
                  <text x={text.x} y={text.y + 21} className={classes.time}>
                    {format.time(batch.waterAdded)}
                  </text>
                )}
              </g>
            );
          })}
          <path d={ringPath(element.corners, element.edges, at)} className={classes.outline} />
          {element.joints.wayOut && (
            <text
              x={at.x(element.joints.wayOut.x)}
              y={at.y(element.joints.wayOut.y) + 20}
              className={classes.time}
            >
              {words.wayOut}
            </text>
          )}
          <ScaleBar metres={bar} scale={at.scale} text={format.scaleBar(bar)} y={height - 14} />
        </svg>
      )}
    </div>
  );
}
