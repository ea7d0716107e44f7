import { Button } from '@mantine/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import type { PracticeReport } from '../../api/client';
import { useDocument, useEditing } from '../../job/JobContext';
import { setAt, told } from '../../job/pointer';
import { app, practices as named, tasks as words } from '../../words';
import { findingText } from '../../words/told';
import { choiceText, effectText } from './practiceText';
import classes from './Practices.module.css';
import { usePractices } from './usePractices';

function OnePractice({ practice }: { practice: PracticeReport }) {
  const { elements } = useDocument();
  const { edit, format } = useEditing();
  const { title, why } = named[practice.practice];
  const name =
    practice.element !== null && elements.length > 1
      ? `${title}: ${elements[practice.element]?.name ?? ''}`
      : title;
  return (
    <section className={classes.practice} aria-label={name} data-practice={practice.practice}>
      <h3>{name}</h3>
      <p className={classes.why}>{why}</p>
      <ul>
        {practice.choices.map((c) => {
          const value = choiceText(practice.practice, c.value, format);
          const effects = c.effect ? effectText(c.effect, format) : [];
          return (
            <li key={c.value} data-taken={c.taken}>
              <b>{value}</b>
              <span>
                {c.taken ? words.takenNow : effects.length > 0 ? effects.join(', ') : words.noChange}
                {(c.effect?.warns ?? []).map((w) => (
                  <em key={w.code} className={classes.warn}>
                    <IconAlertTriangle size={15} aria-hidden /> {findingText(w, format)}
                  </em>
                ))}
              </span>
              {!c.taken && (
                <Button
                  size="compact-xs"
                  variant="outline"
                  data-off-paper
                  aria-label={words.takeChoice(name, value)}
                  onClick={() => {
                    edit(null, (job) =>
                      c.edits.reduce(
                        (made, e) => setAt(made, told(e.path), e.text ?? e.number ?? e.yes ?? null),
                        job,
                      ),
                    );
                  }}
                >
                  {words.takeIt}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Where people who do this well differ, and what each way would change in this job. */
export function Practices() {
  const practices = usePractices();
  return (
    <div className={classes.all} data-testid="practices">
      <p className={classes.intro}>{practices === null ? app.loading : words.differIntro}</p>
      <div className={classes.columns}>
        {practices?.map((p) => (
          <OnePractice key={`${p.practice}${String(p.element)}`} practice={p} />
        ))}
      </div>
    </div>
  );
}
