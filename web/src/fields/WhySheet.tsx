import { Popover, UnstyledButton } from '@mantine/core';
import type { Why } from '../api/client';
import { Formula } from '../common/Formula';
import { explanationOf, useEditing, usePlanned } from '../job/JobContext';
import { why } from '../words';
import classes from './Why.module.css';

interface WhySheetProps {
  code: Why['code'];
  of: string;
  /** The figure it stands beside. */
  about: string;
  /** It was pressed before it was there. */
  asked: boolean;
}

/** A figure's formula, the values that went in, and whose formula it is, on a sheet that a button opens. */
export default function WhySheet({ code, of, about, asked }: WhySheetProps) {
  const { report } = usePlanned();
  const { format } = useEditing();
  const found = explanationOf(report, code, of);
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
        {found && <Formula found={found} citations={report.citations} format={format} />}
      </Popover.Dropdown>
    </Popover>
  );
}
