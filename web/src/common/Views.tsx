import { SegmentedControl } from '@mantine/core';
import type { ReactNode } from 'react';
import classes from './Views.module.css';

interface ViewsProps<V extends string> {
  label: string;
  /** Views in order, with their names. */
  of: Record<V, string>;
  value: V;
  onChoose: (view: V) => void;
  children: ReactNode;
}

/** A drawing that can be looked at in several ways. */
export function Views<V extends string>({ label, of, value, onChoose, children }: ViewsProps<V>) {
  return (
    <div className={classes.box} data-tall>
      <SegmentedControl
        size="xs"
        className={classes.views}
        data-off-paper
        aria-label={label}
        value={value}
        data={Object.entries<string>(of).map(([v, text]) => ({ value: v as V, label: text }))}
        onChange={onChoose}
      />
      <div className={classes.view}>{children}</div>
    </div>
  );
}
