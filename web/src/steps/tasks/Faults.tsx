import { UnstyledButton } from '@mantine/core';
import { useState } from 'react';
import type { Enum, FaultReport } from '../../api/client';
import { useEditing } from '../../job/JobContext';
import { app, faultCauses, faultMeasures, faults as words, faultSigns, mendings } from '../../words';
import classes from './Faults.module.css';
import { useFaults } from './useFaults';

function OneFault({ fault }: { fault: FaultReport }) {
  const { format } = useEditing();
  return (
    <div className={classes.fault} data-testid="fault" aria-live="polite">
      <h3>{faultSigns[fault.sign]}</h3>
      <ol>
        {fault.causes.map((c) => (
          <li key={c.cause} data-verdict={c.verdict} data-cause={c.cause}>
            <b>{faultCauses[c.cause].why}</b>
            <span className={classes.verdict}>
              {words.verdicts[c.verdict]}
              {c.outside !== null && `: ${faultMeasures[c.measure](c.outside, format)}`}
            </span>
            {c.verdict !== 'against' && (
              <span>
                {words.next}: {faultCauses[c.cause].next}
              </span>
            )}
          </li>
        ))}
      </ol>
      <p>
        <b>
          {words.now}
          {fault.from !== null && `, ${words.from(format.date(fault.from))}`}:
        </b>{' '}
        {mendings[fault.mend]}
      </p>
    </div>
  );
}

/** From what is seen, in plain words, to why it came, what mends it, and what to do next time. */
export function Faults() {
  const all = useFaults();
  const [sign, setSign] = useState<Enum<'FaultSign'> | null>(null);
  const shown = all?.find((f) => f.sign === sign);
  return (
    <div className={classes.page}>
      <p className={classes.intro}>
        {all === null ? app.loading : all.length === 0 ? words.waits : words.intro}
      </p>
      <div className={classes.split}>
        <div className={classes.signs} role="group" aria-label={words.pick} data-testid="signs">
          {all?.map((f) => (
            <UnstyledButton
              key={f.sign}
              className={classes.sign ?? ''}
              aria-pressed={f.sign === sign}
              onClick={() => {
                setSign(f.sign);
              }}
            >
              {faultSigns[f.sign]}
            </UnstyledButton>
          ))}
        </div>
        {shown ? <OneFault fault={shown} /> : <p className={classes.intro}>{words.none}</p>}
      </div>
    </div>
  );
}
