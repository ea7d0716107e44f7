import { Popover, Text, UnstyledButton } from '@mantine/core';
import type { Why } from '../api/client';
import { explanationOf, useEditing, usePlanned } from '../job/JobContext';
import { factText } from '../format/format';
import { why } from '../words';
import { whys } from '../words/whys';
import classes from './Why.module.css';

interface FormulaProps {
  code: Why['code'];
  of: string;
}

interface WhySheetProps extends FormulaProps {
  /** The figure it stands beside. */
  about: string;
  /** It was pressed before it was there. */
  asked: boolean;
}

/** What went in; what a figure of this kind may have and this one has not is left out. */
const valuesOf = (says: Why): [string, number][] =>
  Object.entries(says).filter((entry): entry is [string, number] => typeof entry[1] === 'number');

function Formula({ code, of }: FormulaProps) {
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

/** A figure's formula, the values that went in, and whose formula it is, on a sheet that a button opens. */
export default function WhySheet({ code, of, about, asked }: WhySheetProps) {
  return (
    <Popover
      width={320}
      position="bottom-end"
      withArrow
      shadow="md"
      trapFocus
      returnFocus
      defaultOpened={asked}
    >
      <Popover.Target>
        <UnstyledButton data-off-paper className={classes.button} aria-label={why.button(about)}>
          {why.short}
        </UnstyledButton>
      </Popover.Target>
      <Popover.Dropdown className={classes.sheet} tabIndex={-1} data-autofocus aria-label={why.button(about)}>
        <Formula code={code} of={of} />
      </Popover.Dropdown>
    </Popover>
  );
}
