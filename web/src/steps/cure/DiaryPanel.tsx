import { ActionIcon, Button, Group } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import type { CureReport, JobEvent } from '../../api/client';
import { number, type Formats } from '../../format/format';
import { coatName, cure as words, eventKinds } from '../../words';
import { useDiaryOf, useDocument, usePlanned } from '../../job/JobContext';
import classes from './CureStep.module.css';

/** What was done: a tap tells it, and the rest is timed anew. */
export function DiaryPanel({ cure, poured, format }: { cure: CureReport; poured: boolean; format: Formats }) {
  const { lines, waiting, tell } = useDiaryOf();
  const { cure: said } = useDocument();
  const { report } = usePlanned();
  const pour = report.pour ?? '';
  const first = report.pours[0]?.id === pour;
  const withdrawn = new Set(lines.map((l) => (l.kind === 'withdrawn' ? l.line : '')));
  const shown = lines
    .filter((l) => l.kind !== 'withdrawn' && !withdrawn.has(l.id))
    .filter((l) => l.pour === pour || (first && l.pour === ''))
    .sort((a, b) => Date.parse(b.at) - Date.parse(a.at));
  const what = (event: JobEvent) =>
    event.kind === 'coated'
      ? `${eventKinds.coated}: ${coatName(said.coats[event.product]?.name ?? '')}`
      : eventKinds[event.kind];
  if (!poured && shown.length === 0) return <p className={classes.hint}>{words.diaryLater}</p>;
  return (
    <div data-testid="diary">
      <Group gap={6}>
        <Button
          onClick={() => {
            tell({ kind: 'wetted', pour });
          }}
        >
          {words.wettedNow}
        </Button>
        <Button
          variant="default"
          onClick={() => {
            tell({ kind: 'boardsOff', pour });
          }}
        >
          {words.formsOffNow}
        </Button>
        {said.frost !== 'none' && (
          <>
            <Button
              variant="default"
              onClick={() => {
                tell({ kind: 'coverOn', pour });
              }}
            >
              {words.coveredNow}
            </Button>
            <Button
              variant="default"
              onClick={() => {
                tell({ kind: 'coverOff', pour });
              }}
            >
              {words.uncoveredNow}
            </Button>
          </>
        )}
        {said.coats.map((coat, product) => (
          <Button
            key={product}
            variant="default"
            onClick={() => {
              tell({ kind: 'coated', product, pour });
            }}
          >
            {words.coatedNow(coatName(coat.name))}
          </Button>
        ))}
      </Group>
      {cure.dryHours > 0 && <p className={classes.hint}>{words.dryFor(`${number(cure.dryHours, 1)} h`)}</p>}
      {shown.length === 0 ? (
        <p className={classes.hint}>{words.diaryNone}</p>
      ) : (
        <ul className={classes.diary}>
          {shown.map((line) => (
            <li key={line.id} data-waiting={waiting.has(line.id)}>
              <span>
                {what(line)}
                {waiting.has(line.id) && <small> {words.waiting}</small>}
              </span>
              <b>{format.dateTime(line.at)}</b>
              <ActionIcon
                variant="subtle"
                size={26}
                aria-label={words.strike(what(line), format.dateTime(line.at))}
                onClick={() => {
                  tell({ kind: 'withdrawn', line: line.id, pour });
                }}
              >
                <IconX size={14} aria-hidden />
              </ActionIcon>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
