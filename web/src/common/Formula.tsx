import { Text } from '@mantine/core';
import type { Explanation, PlanReport, Why } from '../api/client';
import { factText, type Formats } from '../format/format';
import { why } from '../words';
import { whys } from '../words/whys';
import classes from './Formula.module.css';

/** What went in; what a figure of this kind may have and this one has not is left out. */
const valuesOf = (says: Why): [string, number][] =>
  Object.entries(says).filter((entry): entry is [string, number] => typeof entry[1] === 'number');

interface FormulaProps {
  found: Explanation;
  citations: PlanReport['citations'];
  format: Formats;
}

/** A figure's formula, the values that went in, and whose formula it is. */
export function Formula({ found, citations, format }: FormulaProps) {
  const words = whys[found.says.code];
  return (
    <>
      <Text fw={650}>{words.title}</Text>
      <p className={classes.formula}>{words.formula}</p>
      <dl className={classes.values}>
        {valuesOf(found.says).map(([name, value]) => (
          <div key={name}>
            <dt>{(words.inputs as Record<string, string>)[name]}</dt>
            <dd>{factText(name, value, format)}</dd>
          </div>
        ))}
        <div className={classes.result}>
          <dt>{words.title}</dt>
          <dd>{words.result(found.result, format)}</dd>
        </div>
      </dl>
      {citations
        .filter((c) => found.sources.includes(c.source))
        .map((c) => (
          <p className={classes.source} key={c.source}>
            {why.source}: {c.reference} ({why.holds} {c.range})
          </p>
        ))}
    </>
  );
}
