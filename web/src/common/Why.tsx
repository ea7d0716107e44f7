import { Popover, Text, UnstyledButton } from '@mantine/core';
import { useId } from 'react';
import type { Explanation } from '../api/client';
import { explanationOf, useEditing, usePlanned } from '../job/JobContext';
import { factText } from './format';
import { why, whys } from './words';
import classes from './Why.module.css';

interface WhyProps {
  code: Explanation['code'];
  of?: string;
  /** The figure it stands beside. */
  about: string;
}

function Sheet({ code, of = '', title }: Omit<WhyProps, 'about'> & { title: string }) {
  const { report } = usePlanned();
  const { format } = useEditing();
  const found = explanationOf(report, code, of);
  if (!found) return null;
  const words = whys[code];
  return (
    <>
      <Text fw={650} id={title}>
        {words.title}
      </Text>
      <p className={classes.formula}>{words.formula}</p>
      <dl className={classes.values}>
        {Object.entries(found.inputs).map(([name, value]) => (
          <div key={name}>
            <dt>{words.inputs[name] ?? name}</dt>
            <dd>{factText(name, value, format)}</dd>
          </div>
        ))}
        <div className={classes.result}>
          <dt>{words.title}</dt>
          <dd>{words.result(found.result, format)}</dd>
        </div>
      </dl>
      {report.citations
        .filter((c) => found.sources.includes(c.source))
        .map((c) => (
          <p className={classes.source} key={c.source}>
            {why.source}: {c.reference} ({why.holds} {c.range})
          </p>
        ))}
    </>
  );
}

/** Opens a figure to its formula, the values that went in, and whose formula it is. */
export function Why({ code, of = '', about }: WhyProps) {
  const { report } = usePlanned();
  const title = useId();
  const known = explanationOf(report, code, of) !== undefined;
  if (!known) return null;
  return (
    <Popover width={320} position="bottom-end" withArrow shadow="md" trapFocus returnFocus>
      <Popover.Target>
        <UnstyledButton data-off-paper className={classes.button} aria-label={why.button(about)}>
          {why.short}
        </UnstyledButton>
      </Popover.Target>
      <Popover.Dropdown className={classes.sheet} tabIndex={-1} data-autofocus aria-labelledby={title}>
        <Sheet code={code} of={of} title={title} />
      </Popover.Dropdown>
    </Popover>
  );
}
