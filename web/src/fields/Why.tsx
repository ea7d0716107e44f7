import { UnstyledButton } from '@mantine/core';
import { Suspense, lazy, useState } from 'react';
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
const WhySheet = lazy(() => import('./WhySheet'));

/** Opens a figure to its formula, the values that went in, and whose formula it is. */
export function Why({ code, of = '', about }: WhyProps) {
  const { report } = usePlanned();
  const [asked, setAsked] = useState(false);
  if (explanationOf(report, code, of) === undefined) return null;
  const button = (
    <UnstyledButton
      data-off-paper
      className={classes.button}
      aria-label={why.button(about)}
      onClick={() => {
        setAsked(true); // pressed before the sheet was there: it opens when it is
      }}
    >
      {why.short}
    </UnstyledButton>
  );
  return (
    <Suspense fallback={button}>
      <WhySheet code={code} of={of} about={about} asked={asked} />
    </Suspense>
  );
}
