import { Button } from '@mantine/core';
import { IconAlertTriangle, IconHandStop, IconInfoCircle, IconX } from '@tabler/icons-react';
import type { Finding } from '../api/client';
import { useEditing, usePlanned } from '../job/JobContext';
import { useTold } from '../common/useTold';
import { severities } from '../words';
import { useAsPlanned } from '../job/useAsPlanned';
import type { Pointer } from '../job/pointer';
import classes from './Notes.module.css';

const marks: Record<Finding['severity'], typeof IconInfoCircle> = {
  note: IconInfoCircle,
  caution: IconHandStop,
  warning: IconAlertTriangle,
  error: IconX,
};

/** One finding in words, with its ways out: a tap takes one, undo takes it back. */
function Note({ finding }: { finding: Finding }) {
  const { format, take } = useEditing();
  const words = useTold();
  const asPlanned = useAsPlanned();
  const Mark = marks[finding.severity];
  return (
    <li className={classes.note} data-severity={finding.severity} data-code={finding.says.code}>
      <Mark size={18} stroke={2} aria-hidden className={classes.mark} />
      <div>
        <b className={classes.name}>{severities[finding.severity]}</b>{' '}
        {words?.findingText(finding.says, format)}
        {finding.remedies.length > 0 && (
          <div className={classes.remedies}>
            {finding.remedies.map((remedy) => (
              <Button
                key={`${remedy.does.code}${remedy.edits[0]?.text ?? ''}`}
                size="compact-sm"
                variant="outline"
                className={classes.remedy ?? ''}
                onClick={() => {
                  if (remedy.does.code === 'pouredAsPlanned') void asPlanned();
                  else take(remedy);
                }}
              >
                {words?.remedyText(remedy.does, format)}
              </Button>
            ))}
          </div>
        )}
      </div>
    </li>
  );
}

/** The findings under some part of the job, of some weight. Nothing is drawn where there are none. */
interface NotesProps {
  /** Parts of the job. */
  under: Pointer[];
  only: Finding['severity'][];
  /** Parts of an element that are told elsewhere: /elements/0/steel. */
  not?: string[];
}

export function Notes({ under, only, not = [] }: NotesProps) {
  const { report } = usePlanned();
  const found = report.findings.filter(
    (f) =>
      only.includes(f.severity) &&
      !not.includes(f.where.split('/')[3] ?? '') &&
      under.some((path) => f.where === path || f.where.startsWith(`${path}/`)),
  );
  if (found.length === 0) return null;
  return (
    <ul className={classes.notes} aria-live={only.includes('error') ? 'polite' : undefined}>
      {found.map((f) => (
        <Note key={f.where + JSON.stringify(f.says)} finding={f} />
      ))}
    </ul>
  );
}
