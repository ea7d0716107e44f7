import { Popover, UnstyledButton } from '@mantine/core';
import { Suspense, lazy, useEffect } from 'react';
import type { Why as Formula } from '../api/client';
import { explanationOf, usePlanned } from '../job/JobContext';
import { why } from '../words';
import classes from './Why.module.css';

interface WhyProps {
  code: Formula['code'];
  of?: string;
  /** The figure it stands beside. */
  about: string;
}

// A third of all words stand in it, and no figure needs them to be shown: it is fetched once the page stands.
const load = () => import('./WhySheet');
const WhySheet = lazy(load);

/** Opens a figure to its formula, the values that went in, and whose formula it is. */
export function Why({ code, of = '', about }: WhyProps) {
  const { report } = usePlanned();
  useEffect(() => {
    void load();
  }, []);
  const known = explanationOf(report, code, of) !== undefined;
  if (!known) return null;
  return (
    <Popover width={320} position="bottom-end" withArrow shadow="md" trapFocus returnFocus>
      <Popover.Target>
        <UnstyledButton data-off-paper className={classes.button} aria-label={why.button(about)}>
          {why.short}
        </UnstyledButton>
      </Popover.Target>
      <Popover.Dropdown className={classes.sheet} tabIndex={-1} data-autofocus aria-label={why.button(about)}>
        <Suspense fallback={null}>
          <WhySheet code={code} of={of} />
        </Suspense>
      </Popover.Dropdown>
    </Popover>
  );
}
