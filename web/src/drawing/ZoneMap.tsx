import type { DayReport, ElementReport, Enum, PlanPoint } from '../api/client';
import { number, type Formats } from '../format/format';
import { board as words, passes, readiness, shortPasses } from '../words';
import { barFor, fit, type Fit } from './fit';
import { ScaleBar } from './Patterns';
import { reaches, ringPath, within } from './ring';
import { useSize } from './useSize';
import { stageOf } from './zoneStage';
import classes from './ZoneMap.module.css';

type Zone = DayReport['zones'][number];
type Stage = Zone['stages'][number];
type Is = Enum<'Readiness'>;

interface ZoneMapProps {
  element: ElementReport;
  zones: Zone[];
  /** Milliseconds: what each zone is ready for then. */
  at: number;
  chosen: number | null;
  onChoose: (zone: number) => void;
  format: Formats;
  /** Letters for a glance: on a phone. */
  large?: boolean;
}

const MARGIN = 14;
const BAR_ROOM = 18;
/** About as wide as a letter of a word is, pixels. */
const LETTER = 7.5;
const LETTER_LARGE = 8.6;
const LINE = 26;

const pathOf = (ring: PlanPoint[], at: Fit) =>
  ring.length < 3 ? '' : `M${ring.map((p) => `${at.x(p.x).toFixed(1)} ${at.y(p.y).toFixed(1)}`).join('L')}Z`;

/** The widest place of a zone's parts: there its number stands. */
function middleOf(rings: PlanPoint[][], at: Fit) {
  let best = { x: 0, y: 0, room: 0, wide: 0, high: 0 };
  for (const ring of rings) {
    const points = ring.map((p) => ({ x: at.x(p.x), y: at.y(p.y) }));
    const xs = points.map((p) => p.x);
    const ys = points.map((p) => p.y);
    const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    const middle = { x: (left + right) / 2, y: (top + bottom) / 2 };
    const i = Math.floor((points.length - 1) / 4);
    const [a, b] = [points[i], points[points.length - 1 - i]];
    const along = a && b ? { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 } : middle;
    const room = (right - left) * (bottom - top);
    if (room > best.room)
      best = {
        ...(within(middle, points) ? middle : along),
        room,
        wide: right - left,
        high: bottom - top,
      };
  }
  return best;
}

const textOf = (stage: Stage | undefined): string =>
  stage ? readiness[stage.is](stage.pass ? passes[stage.pass].toLowerCase() : '') : readiness.empty('');

/** Short enough to stand in its zone. */
const shortOf = (stage: Stage | undefined): string => {
  if (!stage) return '';
  const pass = stage.pass ? shortPasses[stage.pass] : '';
  switch (stage.is) {
    case 'ready':
    case 'inHand':
      return pass;
    case 'late':
      return `${pass}!`;
    case 'sheen':
      return words.wet;
    case 'placing':
      return words.placing;
    case 'rests':
      return words.rests;
    case 'finished':
      return words.finished;
    case 'empty':
      return '';
    default:
      return stage.is satisfies never;
  }
};

const looks: Is[] = ['sheen', 'ready', 'inHand', 'late', 'finished', 'placing'];

/** The plan to scale, every zone in the colour, the pattern and the word of what it is ready for. */
export function ZoneMap({ element, zones, at, chosen, onChoose, format, large = false }: ZoneMapProps) {
  const { ref, width, height, ready } = useSize();
  const place = fit(reaches(element.corners, element.edges), width, height - BAR_ROOM, MARGIN);
  const bar = barFor(place.scale, format.units);
  const drawn = zones
    .filter((z) => z.element === element.index)
    .map((zone) => ({
      zone,
      stage: stageOf(zone.stages, at),
    }));
  const flat = drawn.some((d) => d.zone.face.some((r) => r.length > 2));
  return (
    <div ref={ref} className={classes.box} data-large={large}>
      {!flat && (
        <ul className={classes.list}>
          {drawn.map(({ zone, stage }) => (
            <li key={zone.number}>
              <button
                type="button"
                className={classes.chip}
                data-is={stage?.is}
                aria-pressed={zone.number === chosen}
                onClick={() => {
                  onChoose(zone.number);
                }}
              >
                <b>{words.zone(number(zone.number))}</b> {textOf(stage)}
              </button>
            </li>
          ))}
        </ul>
      )}
      {ready && flat && (
        <svg width={width} height={height} role="group" aria-label={words.map} data-testid="zone-map">
          <defs>
            {looks.map((is) => (
              <pattern
                key={is}
                id={`is-${is}`}
                width={10}
                height={10}
                patternUnits="userSpaceOnUse"
                patternTransform={is === 'late' ? 'rotate(-45)' : is === 'ready' ? 'rotate(45)' : undefined}
              >
                {is === 'sheen' && (
                  <path d="M0 5 Q2.5 2 5 5 T10 5" className={classes.mark} data-is={is} fill="none" />
                )}
                {(is === 'ready' || is === 'late') && (
                  <line x1={0} x2={0} y1={0} y2={10} className={classes.mark} data-is={is} />
                )}
                {is === 'inHand' && (
                  <path d="M0 0 L10 10 M10 0 L0 10" className={classes.mark} data-is={is} />
                )}
                {is === 'finished' && <circle cx={5} cy={5} r={1.2} className={classes.dot} />}
                {is === 'placing' && (
                  <line x1={0} x2={10} y1={5} y2={5} className={classes.mark} data-is={is} />
                )}
              </pattern>
            ))}
          </defs>
          {drawn.map(({ zone, stage }) => {
            const text = middleOf(zone.face, place);
            const word = shortOf(stage);
            const long = word.length * (large ? LETTER_LARGE : LETTER);
            // Where it is narrow the word stands upright; where there is no room for it the pattern tells.
            const upright = long > text.wide && long < text.high - 2 * LINE;
            const d = zone.face.map((r) => pathOf(r, place)).join('');
            return (
              <g
                key={zone.number}
                role="button"
                tabIndex={0}
                aria-pressed={zone.number === chosen}
                aria-label={`${words.zone(number(zone.number))}: ${textOf(stage)}`}
                className={classes.zone}
                data-zone={zone.number}
                data-is={stage?.is}
                onClick={() => {
                  onChoose(zone.number);
                }}
                onKeyDown={(e) => {
                  if (e.key === 'Enter' || e.key === ' ') {
                    e.preventDefault();
                    onChoose(zone.number);
                  }
                }}
              >
                <path d={d} className={classes.fill} data-is={stage?.is} />
                {stage && looks.includes(stage.is) && <path d={d} fill={`url(#is-${stage.is})`} />}
                <path d={d} className={classes.edge} data-chosen={zone.number === chosen} />
                <text x={text.x} y={text.y - (upright ? text.high / 2 - LINE : 0)} className={classes.number}>
                  {number(zone.number)}
                </text>
                {upright ? (
                  <text
                    transform={`translate(${(text.x + 5).toFixed(1)} ${(text.y + LINE / 2).toFixed(1)}) rotate(-90)`}
                    className={classes.word}
                  >
                    {word}
                  </text>
                ) : (
                  long <= text.wide &&
                  text.high >= 2 * LINE && (
                    <text x={text.x} y={text.y + (large ? 19 : 17)} className={classes.word}>
                      {word}
                    </text>
                  )
                )}
              </g>
            );
          })}
          <path d={ringPath(element.corners, element.edges, place)} className={classes.outline} />
          <ScaleBar metres={bar} scale={place.scale} text={format.scaleBar(bar)} y={height - 12} />
        </svg>
      )}
    </div>
  );
}
