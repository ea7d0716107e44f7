import type { BatchRecipe, Measure } from '../api/client';
import { eighths, type Formats } from '../format/format';
import { measureAmount, measureName } from '../common/measureText';
import { counted, load, mix as words } from '../words';
import classes from './BatchDrawing.module.css';
import { useSize } from './useSize';

interface BatchDrawingProps {
  recipe: BatchRecipe;
  size: string;
  format: Formats;
}

type Vessel = NonNullable<Measure['in']> | 'bag';

/** Outlines in a box of 40 by 44, the brim at the top; what is in them is filled from below. */
const OUTLINES: Record<Vessel, string> = {
  bucket: 'M4 4 L36 4 L31 42 L9 42 Z',
  shovel: 'M6 14 L34 14 L32 40 L20 44 L8 40 Z',
  barrow: 'M1 12 L39 12 L31 36 L9 36 Z',
  box: 'M3 6 L37 6 L37 42 L3 42 Z',
  jug: 'M8 6 L32 6 L32 42 L8 42 Z',
  bag: 'M6 8 Q20 2 34 8 L36 40 Q20 45 4 40 Z',
};

/** Handles, wheels and the like, drawn open. */
const EXTRAS: Partial<Record<Vessel, string>> = {
  bucket: 'M4 5 Q20 -6 36 5',
  shovel: 'M20 14 L20 0 M14 0 L26 0',
  barrow: 'M39 12 L44 8',
  jug: 'M32 12 Q42 14 32 30',
};

const WIDE = 40;
const TALL = 44;
const STEP = 47;
const TEXT = 172;
const ROW_LEAST = 54;
const ROW_MOST = 78;
const TOP = 46;

/** Many containers are drawn smaller, down to this share. */
const SMALLEST = 0.5;

function Glyph({
  kind,
  part,
  x,
  y,
  what,
  scale,
}: {
  kind: Vessel;
  part: number;
  x: number;
  y: number;
  what: string;
  scale: number;
}) {
  const id = `${what}${String(x)}`;
  return (
    <g transform={`translate(${String(x)} ${String(y)}) scale(${String(scale)})`}>
      <clipPath id={id}>
        <path d={OUTLINES[kind]} />
      </clipPath>
      <rect
        x={0}
        y={TALL * (1 - part)}
        width={WIDE}
        height={TALL * part + 2}
        clipPath={`url(#${id})`}
        className={classes.fill}
        data-what={what}
      />
      <path d={OUTLINES[kind]} className={classes.outline} />
      {EXTRAS[kind] && <path d={EXTRAS[kind]} className={classes.extra} />}
    </g>
  );
}

function Row({ m, y, width, format }: { m: Measure; y: number; width: number; format: Formats }) {
  const kind: Vessel | null = m.what === 'bag' ? 'bag' : m.in;
  const room = width - TEXT - 24;
  const whole = Math.ceil(m.count - 1e-9);
  const scale = Math.max(SMALLEST, Math.min(1, room / (whole * STEP)));
  const shown = Math.min(
    whole,
    Math.max(1, Math.floor((room - 40) / (STEP * scale)) + (scale > SMALLEST ? 1 : 0)),
  );
  return (
    <g>
      <text x={16} y={y + 20} className={classes.amount}>
        {measureAmount(m, format)}
      </text>
      <text x={16} y={y + 38} className={classes.name}>
        {measureName(m)}
        {m.what === 'water' && m.in && `, ${counted(eighths(m.count), m.in)}`}
        {m.kg > 0 &&
          !['water', 'pigment', 'polymer', 'addedCement'].includes(m.what) &&
          `, ${format.mass(m.kg)}`}
      </text>
      {kind !== null &&
        Array.from({ length: shown }, (_, i) => (
          <Glyph
            key={i}
            kind={kind}
            part={Math.min(1, m.count - i)}
            x={TEXT + i * STEP * scale}
            y={y}
            scale={scale}
            what={m.what}
          />
        ))}
      {whole > shown && (
        <text x={TEXT + shown * STEP * scale} y={y + 28} className={classes.name}>
          {`… ${eighths(m.count)}`}
        </text>
      )}
    </g>
  );
}

/** One batch as it is measured out: every container drawn, the last one filled to its quarter. */
export function BatchDrawing({ recipe, size, format }: BatchDrawingProps) {
  const { ref, width, height, ready } = useSize();
  const row = Math.min(ROW_MOST, Math.max(ROW_LEAST, (height - TOP - 8) / recipe.measures.length));
  return (
    <div ref={ref} className={classes.box}>
      {ready && (
        <svg
          width={width}
          height={Math.max(height, TOP + row * recipe.measures.length)}
          role="img"
          aria-label={`${words.batchDrawing}: ${recipe.measures.map((m) => `${measureAmount(m, format)} ${measureName(m)}`).join(', ')}`}
          data-testid="batch-drawing"
        >
          <text x={16} y={26} className={classes.title}>
            {words.batchTitle(size, recipe.batches)}
          </text>
          <text x={width - 16} y={26} className={classes.total}>
            {format.bulk(recipe.volumeL)}, {format.mass(recipe.kg)};{' '}
            {load.first(format.litres(recipe.firstWaterL))}
          </text>
          {recipe.measures.map((m, i) => (
            <Row key={m.what + m.of} m={m} y={TOP + i * row} width={width} format={format} />
          ))}
        </svg>
      )}
    </div>
  );
}
