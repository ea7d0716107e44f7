import { Group } from '@mantine/core';
import type { Pour } from '../../api/client';
import { Pick } from '../../common/Pick';
import { calendarDay, number } from '../../format/format';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { movePart } from '../../job/pours';
import { courses, pours as words } from '../../words';
import classes from './ShapeStep.module.css';

/** Rows of parts; more than these are moved in groups by their file. */
const MOST_ROWS = 60;
const OWN_DAY = ' own';

interface Row {
  part: Pour['parts'][number];
  pour: Pour;
  name: string;
}

/** What of an element is poured by itself, and in which pour. */
function rowsOf(pours: Pour[], at: number): Row[] {
  return pours
    .flatMap((pour) =>
      pour.parts
        .filter((p) => p.element === at)
        .flatMap((part): Row[] => {
          if (part.casting !== null) return [{ part, pour, name: words.part.casting(number(part.casting)) }];
          if (part.course !== null) return [{ part, pour, name: courses[part.course] }];
          return part.panels.map((n) => ({
            part: { ...part, panels: [n] },
            pour,
            name: words.part.panel(number(n)),
          }));
        }),
    )
    .sort((a, b) => (a.part.panels[0] ?? 0) - (b.part.panels[0] ?? 0));
}

const dayText = (pour: Pour) => {
  if (pour.date === null) return words.noDay;
  const day = calendarDay(pour.date);
  return `${day.weekday} ${day.day}`;
};

interface PourDaysProps {
  /** The element that is looked at. */
  at: number;
  /** How many panels it has. */
  panels: number;
  /** The panel that was picked in the drawing; null where none is. */
  picked: number | null;
}

/** Which day each panel, casting and course is poured on; a job of one pour shows nothing of it until a panel is picked. */
export function PourDays({ at, panels, picked }: PourDaysProps) {
  const { report } = usePlanned();
  const { day } = useDocument();
  const { edit, set } = useEditing();
  const pours = report.pours;
  const whole = pours.find((p) => p.parts.some((q) => q.element === at && q.panels.length === 0));
  const rows = rowsOf(pours, at);
  // Of an element that is poured in one go each panel is a row, once one of them was picked.
  if (rows.length === 0 && picked !== null && whole && panels > 1) {
    rows.push({
      part: { element: at, panels: [picked], casting: null, course: null },
      pour: whole,
      name: words.part.panel(number(picked)),
    });
  }
  const shown = picked === null ? rows : rows.filter((r) => r.part.panels.includes(picked));
  if (pours.length < 2 && picked === null) return null;
  const choices = Object.fromEntries([
    ...pours.map((p) => [p.id, words.on(number(p.number), dayText(p))] as const),
    [OWN_DAY, words.ownDay] as const,
  ]);
  return (
    <fieldset className={classes.group} data-testid="pour-days">
      <legend className={classes.legend}>{words.title}</legend>
      {shown.slice(0, MOST_ROWS).map((row) => (
        <Pick
          key={`${row.name}${row.pour.id}`}
          label={row.name}
          value={row.pour.id}
          of={choices}
          onPick={(to) => {
            edit(null, (job) => movePart(job, pours, row.part, to === OWN_DAY ? null : to));
          }}
        />
      ))}
      <Group gap="xs" align="flex-start">
        {panels > 1 && (
          <Pick
            label={words.split}
            value={day.split ?? 'asNeeded'}
            of={words.splits}
            onPick={(v) => {
              set('/day/split', v);
            }}
          />
        )}
        <Pick
          label={words.workDays}
          value={day.workDays ?? 'any'}
          of={words.workDayNames}
          onPick={(v) => {
            set('/day/workDays', v);
          }}
        />
      </Group>
    </fieldset>
  );
}
