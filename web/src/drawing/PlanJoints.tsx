import { useRef, useState } from 'react';
import type { ElementReport, JointLineReport } from '../api/client';
import type { Formats } from '../format/format';
import { joints as words, pours as pourWords } from '../words';
import type { Fit } from './fit';
import { openingText, panelNumber } from './labels';
import classes from './PlanDrawing.module.css';

interface PlanJointsProps {
  element: ElementReport;
  at: Fit;
  format: Formats;
  onJoint: ((line: number, atM: number) => void) | undefined;
  onPanel?: ((panel: number) => void) | undefined;
  pickedPanel?: number | null | undefined;
}

const STEP_M = 0.01;
const BIG_STEP_M = 0.1;

const keys: Record<string, [boolean, number]> = {
  ArrowLeft: [true, -1],
  ArrowRight: [true, 1],
  ArrowDown: [false, -1],
  ArrowUp: [false, 1],
};

interface HandleProps extends PlanJointsProps {
  line: JointLineReport;
  i: number;
}

/** Where a joint is taken hold of: dragged square to its run, or moved with the arrow keys. */
function Handle({ element, line, i, at, format, onJoint }: HandleProps) {
  const box = useRef<SVGRectElement>(null);
  const [pulled, setPulled] = useState<number | null>(null);
  if (!onJoint) return null;
  const cut = element.joints.cuts.find((c) =>
    line.across
      ? Math.abs(c.from.x - line.atM) < 1e-6 && Math.abs(c.to.x - line.atM) < 1e-6
      : Math.abs(c.from.y - line.atM) < 1e-6 && Math.abs(c.to.y - line.atM) < 1e-6,
  );
  if (!cut) return null;
  const where = pulled ?? line.atM;
  const [x, y] = line.across
    ? [at.x(where), (at.y(cut.from.y) + at.y(cut.to.y)) / 2]
    : [(at.x(cut.from.x) + at.x(cut.to.x)) / 2, at.y(where)];
  const half = line.across
    ? Math.abs(at.y(cut.from.y) - at.y(cut.to.y)) / 2
    : Math.abs(at.x(cut.from.x) - at.x(cut.to.x)) / 2;
  const metresAt = (e: React.PointerEvent) => {
    const svg = box.current?.ownerSVGElement?.getBoundingClientRect();
    if (!svg) return where;
    return line.across ? at.metresX(e.clientX - svg.left) : at.metresY(e.clientY - svg.top);
  };
  return (
    <g className={classes.handle} data-across={line.across} data-pulled={pulled !== null}>
      {pulled !== null && (
        <line
          x1={line.across ? x : x - half}
          x2={line.across ? x : x + half}
          y1={line.across ? y - half : y}
          y2={line.across ? y + half : y}
        />
      )}
      <rect
        ref={box}
        x={line.across ? x - 7 : x - half}
        y={line.across ? y - half : y - 7}
        width={line.across ? 14 : half * 2}
        height={line.across ? half * 2 : 14}
        role="slider"
        tabIndex={0}
        aria-orientation={line.across ? 'horizontal' : 'vertical'}
        aria-valuenow={Math.round(line.atM * 1000)}
        aria-valuetext={format.length(line.atM)}
        aria-label={words.handle(i + 1, format.length(line.atM))}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          setPulled(metresAt(e));
        }}
        onPointerMove={(e) => {
          if (pulled === null) return;
          setPulled(metresAt(e));
          onJoint(i, metresAt(e));
        }}
        onPointerUp={() => {
          setPulled(null);
        }}
        onKeyDown={(e) => {
          const [across, way] = keys[e.key] ?? [null, 0];
          if (across !== line.across) return;
          e.preventDefault();
          onJoint(i, line.atM + way * (e.shiftKey ? BIG_STEP_M : STEP_M));
        }}
      />
    </g>
  );
}

/** Joints, the panels between them by number, and the way the barrow leaves. */
export function PlanJoints(props: PlanJointsProps) {
  const { element, at, format, onPanel, pickedPanel } = props;
  const { joints } = element;
  const lines = joints.lines;
  const names = element.openings.map((o) => openingText(o, format));
  return (
    <>
      {joints.cuts.map((c, i) => (
        <line
          key={i}
          x1={at.x(c.from.x)}
          y1={at.y(c.from.y)}
          x2={at.x(c.to.x)}
          y2={at.y(c.to.y)}
          className={classes.joint}
        />
      ))}
      {joints.panels.length > 1 &&
        joints.panels.map((p, i) => {
          const place = panelNumber(element, i, names, at);
          return (
            <g
              key={p.number}
              transform={`translate(${String(place.x)} ${String(place.y)})`}
              {...(onPanel && {
                role: 'button',
                tabIndex: 0,
                'aria-label': pourWords.pickPanel(p.number),
                'aria-pressed': p.number === pickedPanel,
                className: classes.panelButton,
                onClick: () => {
                  onPanel(p.number);
                },
                onKeyDown: (e: React.KeyboardEvent) => {
                  if (e.key !== 'Enter' && e.key !== ' ') return;
                  e.preventDefault();
                  onPanel(p.number);
                },
              })}
            >
              <title>{words.panel(p.number)}</title>
              <circle r={11} className={classes.panelRing} />
              <text className={classes.panel} y={4.5}>
                {p.number}
              </text>
            </g>
          );
        })}
      {lines.map((line, i) => (
        <Handle key={i} {...props} line={line} i={i} />
      ))}
    </>
  );
}
