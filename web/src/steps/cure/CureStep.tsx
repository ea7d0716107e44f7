import { Group, Loader } from '@mantine/core';
import { Suspense, lazy } from 'react';
import type { CureReport } from '../../api/client';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { Amount } from '../../common/Amount';
import { number, type Formats } from '../../common/format';
import { Notes } from '../../common/Notes';
import { Pick } from '../../common/Pick';
import { StepLayout, type Figure } from '../../common/StepLayout';
import { Why } from '../../common/Why';
import { app, cure as words, curing, fields, milestones, steps } from '../../common/words';
import classes from './CureStep.module.css';

// The chart package is large and only wanted here.
const StrengthChart = lazy(() => import('./StrengthChart'));

const daysText = (days: number) =>
  days < 1 ? words.hours(number(days * 24, 1)) : words.days(number(days, 1));

function sentenceOf(cure: CureReport | null, format: Formats): string {
  if (!cure) return words.blocked;
  const when = (name: CureReport['milestones'][number]['milestone']) => {
    const at = cure.milestones.find((m) => m.milestone === name)?.at;
    return at ? format.dateHour(at) : null;
  };
  return words.sentence(daysText(cure.wetDays), format.date(cure.wetUntil), when('walk'), when('stripEdges'));
}

const figuresOf = (cure: CureReport, format: Formats): Figure[] => [
  { label: words.rewet, value: `${number(cure.rewetHours, 1)} h`, lead: true, why: { code: 'rewetting' } },
  { label: words.until, value: format.dateHour(cure.wetUntil), why: { code: 'wetDays' } },
  { label: words.at28, value: format.strength(cure.at28Mpa), why: { code: 'strength' } },
  { label: words.drying, value: format.evaporation(cure.meanEvaporation), why: { code: 'meanEvaporation' } },
];

function Dates({ cure, format }: { cure: CureReport; format: Formats }) {
  return (
    <table className={classes.dates}>
      <caption>{words.dates}</caption>
      <tbody>
        {cure.milestones.map((m) => (
          <tr key={m.milestone} data-milestone={m.milestone}>
            <th scope="row">
              {milestones[m.milestone]}
              {m.needsMpa > 0 && <small> {words.needs(format.strength(m.needsMpa))}</small>}
            </th>
            <td>{m.at ? format.dateHour(m.at) : words.outOfSight}</td>
            <td>
              <Why code="milestone" of={m.milestone} about={milestones[m.milestone]} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

export function CureStep() {
  const document = useDocument();
  const { sections } = usePlanned();
  const { format, set } = useEditing();
  const cure = sections.cure;
  return (
    <StepLayout
      title={steps.cure}
      sentence={sentenceOf(cure, format)}
      drawing={
        cure && (
          <Suspense fallback={<Loader aria-label={app.loading} m="md" />}>
            <StrengthChart cure={cure} format={format} />
          </Suspense>
        )
      }
      figures={cure ? figuresOf(cure, format) : []}
      notes={<Notes under={['/cure']} only={['error', 'warning', 'note']} />}
      controls={
        <>
          <Group gap="xs" align="flex-start">
            <Pick
              label={fields.method}
              value={document.cure.method}
              of={curing}
              onPick={(v) => {
                set('/cure/method', v);
              }}
            />
            <Amount
              at="/cure/days"
              value={document.cure.days}
              label={fields.wetDays}
              optional
              placeholder={cure ? fields.advised(number(cure.advisedDays, 1)) : ''}
            />
          </Group>
          {cure && <Dates cure={cure} format={format} />}
        </>
      }
    />
  );
}
