import { Popover, Text, UnstyledButton } from '@mantine/core';
import { useId } from 'react';
import type { Explanation } from '../api/client';
import { explanationOf, useJobContext } from '../job/JobContext';
import { factText } from './format';
import { why, whys } from './words';
import classes from './Why.module.css';

/** Opens a figure to its formula, the values that went in, and whose formula it is. */
export function Why({ code, of = '', about }: { code: Explanation['code']; of?: string; about: string }) {
  const { report, format } = useJobContext();
  const title = useId();
  const found = explanationOf(report, code, of);
  if (!found) return null;
  const words = whys[code];
  return (
    <Popover width={320} position="bottom-end" withArrow shadow="md" trapFocus returnFocus>
      <Popover.Target>
        <UnstyledButton className={classes.button} aria-label={why.button(about)}>
          {why.short}
        </UnstyledButton>
      </Popover.Target>
      <Popover.Dropdown className={classes.sheet} tabIndex={-1} data-autofocus aria-labelledby={title}>
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
      </Popover.Dropdown>
    </Popover>
  );
}
