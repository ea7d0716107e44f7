import type { ReactElement } from 'react';
import type { Enum } from '../api/client';
import classes from './KindPicture.module.css';

/** A block seen from above and before: its top face, then the two faces below it. */
function Block({ x, y, w, d, h }: { x: number; y: number; w: number; d: number; h: number }) {
  const lean = d * 0.5;
  const top = [
    [x, y],
    [x + lean, y - d * 0.5],
    [x + lean + w, y - d * 0.5],
    [x + w, y],
  ];
  const side = [
    [x + w, y],
    [x + lean + w, y - d * 0.5],
    [x + lean + w, y - d * 0.5 + h],
    [x + w, y + h],
  ];
  const points = (p: number[][]) => p.map((q) => q.join(',')).join(' ');
  return (
    <>
      <polygon className={classes.top} points={points(top)} />
      <rect className={classes.front} x={x} y={y} width={w} height={h} />
      <polygon className={classes.side} points={points(side)} />
    </>
  );
}

const ground = <line className={classes.ground} x1={2} x2={70} y1={42} y2={42} />;

/** Each kind in a few lines; drawn for a glance, not to scale. */
const pictures: Record<Enum<'StartKind'>, ReactElement> = {
  slab: (
    <>
      {ground}
      <Block x={8} y={34} w={42} d={28} h={8} />
    </>
  ),
  drive: (
    <>
      {ground}
      <Block x={4} y={32} w={48} d={30} h={10} />
      <path className={classes.mark} d="M18 30 L30 19 M40 30 L52 19" />
    </>
  ),
  twoCourse: (
    <>
      {ground}
      <Block x={8} y={36} w={42} d={26} h={6} />
      <Block x={8} y={29} w={42} d={26} h={6} />
    </>
  ),
  overlay: (
    <>
      {ground}
      <Block x={8} y={34} w={42} d={26} h={8} />
      <polygon className={classes.wet} points="8,34 21,21 63,21 50,34" />
    </>
  ),
  pebbleBed: (
    <>
      {ground}
      <Block x={8} y={34} w={42} d={26} h={8} />
      {[16, 25, 34, 43].map((x) => (
        <ellipse key={x} className={classes.stone} cx={x + 4} cy={29} rx={4} ry={2.6} />
      ))}
      {[22, 31, 40, 49].map((x) => (
        <ellipse key={x} className={classes.stone} cx={x + 4} cy={24} rx={4} ry={2.6} />
      ))}
    </>
  ),
  border: (
    <>
      <path className={classes.strip} d="M6 40 C 22 40, 26 16, 46 16 S 62 10 66 8" />
      <path className={classes.stripEdge} d="M6 40 C 22 40, 26 16, 46 16 S 62 10 66 8" />
    </>
  ),
  curb: (
    <>
      {ground}
      <polygon className={classes.front} points="10,42 16,22 28,22 28,42" />
      <polygon className={classes.top} points="16,22 44,8 56,8 28,22" />
      <polygon className={classes.side} points="28,22 56,8 56,28 28,42" />
    </>
  ),
  stones: (
    <>
      <ellipse className={classes.top} cx={20} cy={32} rx={15} ry={8} />
      <ellipse className={classes.top} cx={38} cy={20} rx={13} ry={7} />
      <ellipse className={classes.top} cx={57} cy={11} rx={11} ry={6} />
    </>
  ),
  treads: (
    <>
      <Block x={4} y={36} w={40} d={14} h={6} />
      <Block x={12} y={26} w={40} d={14} h={6} />
      <Block x={20} y={16} w={40} d={14} h={6} />
    </>
  ),
  coping: (
    <>
      <polygon className={classes.front} points="6,36 12,26 34,26 40,36" />
      <polygon className={classes.top} points="12,26 36,10 58,10 34,26" />
      <polygon className={classes.side} points="34,26 58,10 64,20 40,36" />
      <path className={classes.mark} d="M2 40 H46" />
    </>
  ),
  ribbon: (
    <>
      <path className={classes.strip} d="M14 38 A 14 14 0 1 1 42 38" />
      <path className={classes.stripEdge} d="M14 38 A 14 14 0 1 1 42 38" />
      <path className={classes.strip} d="M46 16 A 9 9 0 1 0 64 16" />
      <path className={classes.stripEdge} d="M46 16 A 9 9 0 1 0 64 16" />
    </>
  ),
  counter: (
    <>
      <Block x={6} y={18} w={48} d={16} h={6} />
      <path className={classes.mark} d="M10 24 V42 M50 24 V42 M60 16 V34" />
      <ellipse className={classes.hole} cx={36} cy={14} rx={9} ry={2.8} />
    </>
  ),
  counterFaceDown: (
    <>
      <Block x={6} y={30} w={48} d={16} h={8} />
      <polygon className={classes.wet} points="10,29 16,24 55,24 50,29" />
      <path className={classes.mark} d="M34 4 V16 M30 12 L34 17 L38 12" />
    </>
  ),
  footing: (
    <>
      <line className={classes.ground} x1={2} x2={70} y1={14} y2={14} />
      <rect className={classes.front} x={14} y={10} width={14} height={32} />
      <ellipse className={classes.top} cx={21} cy={10} rx={7} ry={2.6} />
      <rect className={classes.front} x={44} y={10} width={14} height={32} />
      <ellipse className={classes.top} cx={51} cy={10} rx={7} ry={2.6} />
    </>
  ),
};

export const KindPicture = ({ kind }: { kind: Enum<'StartKind'> }) => (
  <svg className={classes.picture} viewBox="0 0 72 46" aria-hidden>
    {pictures[kind]}
  </svg>
);
