import { Checkbox } from '@mantine/core';
import type { Enum } from '../../api/client';
import { build as words, inspections } from '../../words';
import { useDocument, useEditing } from '../../job/JobContext';
import classes from './BuildStep.module.css';

/** What to look over before the pour, made from this job; a tick is kept with it. */
export function Inspections({ wanted }: { wanted: Enum<'Inspection'>[] }) {
  const document = useDocument();
  const { set } = useEditing();
  const { ticked } = document.build;
  return (
    <fieldset className={classes.group}>
      <legend className={classes.legend}>{words.check}</legend>
      <p className={classes.hint} role="status">
        {words.checked(wanted.filter((w) => ticked.includes(w)).length, wanted.length)}
      </p>
      <div className={classes.checks}>
        {wanted.map((what) => (
          <Checkbox
            key={what}
            size="sm"
            label={inspections[what]}
            checked={ticked.includes(what)}
            onChange={(e) => {
              set(
                '/build/ticked',
                e.currentTarget.checked ? [...ticked, what] : ticked.filter((t) => t !== what),
              );
            }}
          />
        ))}
      </div>
    </fieldset>
  );
}
