import { ActionIcon, Button, Group } from '@mantine/core';
import { IconX } from '@tabler/icons-react';
import type { CureReport } from '../../api/client';
import { number, type Formats } from '../../common/format';
import { cure as words, logKinds } from '../../common/words';
import { useDiaryOf, useDocument } from '../../job/JobContext';
import classes from './CureStep.module.css';

/** What was done: a tap tells it, and the rest is timed anew. */
export function DiaryPanel({ cure, poured, format }: { cure: CureReport; poured: boolean; format: Formats }) {
  const { lines, waiting, tell } = useDiaryOf();
  const { cure: said } = useDocument();
  const struck = new Set(lines.filter((l) => l.kind === 'struck').map((l) => l.strikes));
  const shown = lines
    .filter((l) => l.kind !== 'struck' && !struck.has(l.id))
    .sort((a, b) => Date.parse(b.at) - Date.parse(a.at));
  const what = (kind: (typeof shown)[number]) =>
    kind.kind === 'coated'
      ? `${logKinds.coated}: ${said.coats[kind.product ?? 0]?.name ?? ''}`
      : logKinds[kind.kind];
  if (!poured && shown.length === 0) return <p className={classes.hint}>{words.diaryLater}</p>;
  return (
    <div data-testid="diary">
      <Group gap={6}>
        <Button
          onClick={() => {
            tell('wetted');
          }}
        >
          {words.wettedNow}
        </Button>
        <Button
          variant="default"
          onClick={() => {
            tell('formsOff');
          }}
        >
          {words.formsOffNow}
        </Button>
        {said.frost !== 'none' && (
          <>
            <Button
              variant="default"
              onClick={() => {
                tell('covered');
              }}
            >
              {words.coveredNow}
            </Button>
            <Button
              variant="default"
              onClick={() => {
                tell('uncovered');
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
              tell('coated', { product });
            }}
          >
            {words.coatedNow(coat.name)}
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
                  tell('struck', { strikes: line.id });
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
