import { Text } from '@mantine/core';
import type { Explanation } from '../api/client';
import { explanationOf, useEditing, usePlanned } from '../job/JobContext';
import { factText } from './format';
import { why } from './words';
import { whys } from './words/whys';
import classes from './Why.module.css';

interface WhySheetProps {
  code: Explanation['code'];
  of?: string;
}

/** A figure's formula, the values that went in, and whose formula it is. */
export default function WhySheet({ code, of = '' }: WhySheetProps) {
  const { report } = usePlanned();
  const { format } = useEditing();
  const found = explanationOf(report, code, of);
  if (!found) return null;
  const words = whys[code];
  return (
    <>
      <Text fw={650}>{words.title}</Text>
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
