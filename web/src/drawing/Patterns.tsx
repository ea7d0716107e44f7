import classes from './PlanDrawing.module.css';

/** Grit and hatches, the tick of a dimension and the head of an arrow, once for each drawing. */
export function Patterns() {
  return (
    <defs>
      <pattern id="grit" width="17" height="17" patternUnits="userSpaceOnUse">
        <path d="M3 4 h1.4 M11 9 h1 M6 14 h1.2 M14 2 h1" className={classes.grit} />
      </pattern>
      <pattern id="stone" width="14" height="10" patternUnits="userSpaceOnUse">
        <path d="M2 3 l3 -1 l2 2 l-2 2 z M9 7 l3 -1 l1 2 l-3 1 z" className={classes.stoneMark} />
      </pattern>
      <pattern id="hatch-wall" width="8" height="8" patternUnits="userSpaceOnUse">
        <path d="M0 8 L8 0" className={classes.hatch} />
      </pattern>
      <marker id="tick" viewBox="-5 -5 10 10" markerWidth="9" markerHeight="9" orient="auto">
        <path d="M-3 3 L3 -3" className={classes.tick} />
      </marker>
      <marker id="flow" viewBox="-8 -5 10 10" markerWidth="9" markerHeight="9" orient="auto">
        <path d="M-7 -4 L0 0 L-7 4" className={classes.flowHead} />
      </marker>
    </defs>
  );
}

/** The bar that says how large the drawing is. */
export function ScaleBar({
  metres,
  scale,
  text,
  y,
}: {
  metres: number;
  scale: number;
  text: string;
  y: number;
}) {
  return (
    <g transform={`translate(14 ${String(y)})`} aria-hidden>
      <path d={`M0 -5 V0 H${String(metres * scale)} V-5`} className={classes.bar} />
      <text x={metres * scale + 7} y={1} className={classes.barText}>
        {text}
      </text>
    </g>
  );
}
