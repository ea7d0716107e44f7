import { UnstyledButton } from '@mantine/core';
import type { CSSProperties } from 'react';
import type { PlanReport } from '../api/client';
import { Heard } from '../common/Heard';
import { eighths, type Formats } from '../format/format';
import { load as words } from '../words';
import classes from './LoadStrip.module.css';
import { useSize } from './useSize';

interface LoadStripProps {
  load: NonNullable<PlanReport['load']>;
  chosen: number;
  onChoose: (number: number) => void;
  format: Formats;
}

const SMALLEST = 52;
const LARGEST = 128;
const GAP = 10;
const PADDING = 14;
/** Height of a load over its width, and the two lines of text on it. */
const TALL = 1.55;
const TEXT = 46;

/** The widest load at which all of them stand in the box without scrolling. */
function loadWidth(count: number, width: number, height: number): number {
  for (let load = LARGEST; load > SMALLEST; load -= 4) {
    const across = Math.max(1, Math.floor((width + GAP) / (load + GAP)));
    if (Math.ceil(count / across) * (load * TALL + TEXT + GAP) <= height) return load;
  }
  return SMALLEST;
}

/** The loads in a row, each filled to its size in a mixer of one outline. A load is a button. */
export function LoadStrip({ load: plan, chosen, onChoose, format }: LoadStripProps) {
  const { ref, width, height } = useSize();
  const { batches, capacityL } = plan;
  const bagged = plan.recipes[0]?.measures.some((m) => m.what === 'bag') ?? false;
  const load = loadWidth(batches.length, width - 2 * PADDING, height - 2 * PADDING);
  return (
    <div
      ref={ref}
      className={classes.strip}
      role="group"
      aria-label={words.strip}
      data-testid="load-strip"
      style={{ '--load': `${String(load)}px` } as CSSProperties}
    >
      {batches.map((b) => (
        <UnstyledButton
          key={b.number}
          className={classes.load}
          aria-pressed={b.number === chosen}
          onClick={() => {
            onChoose(b.number);
          }}
        >
          <span className={classes.time}>
            {plan.truck
              ? b.placed !== null && (
                  <>
                    <Heard>{words.placed}</Heard>
                    {format.time(b.placed)}
                  </>
                )
              : b.waterAdded !== null && (
                  <>
                    <Heard>{words.firstWater}</Heard>
                    {format.time(b.waterAdded)}
                  </>
                )}
          </span>
          <span className={classes.vessel}>
            <span
              className={classes.fill}
              style={{ height: `${String(Math.min(100, (b.volumeL / capacityL) * 100))}%` }}
            />
            <span className={classes.number}>
              <Heard>{words.heardBatch}</Heard>
              {b.number}
            </span>
          </span>
          <span className={classes.size}>
            {eighths(plan.recipes[b.recipe]?.size ?? 0)}
            <Heard>{bagged ? words.heardBags : words.heardCement}</Heard>
          </span>
        </UnstyledButton>
      ))}
    </div>
  );
}
