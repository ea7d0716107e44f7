import type { ReactNode } from 'react';
import type { Why as Formula } from '../api/client';
import { PourStrip } from './PourStrip';
import { Why } from './Why';
import classes from './StepLayout.module.css';

export interface Figure {
  label: string;
  value: string;
  /** A second line, smaller. */
  note?: string | undefined;
  why?: { code: Formula['code']; of?: string };
  /** The figure that leads. */
  lead?: boolean;
}

interface StepLayoutProps {
  title: string;
  /** What a friend would say. */
  sentence: string;
  drawing: ReactNode;
  figures: Figure[];
  /** Decisions and errors, before the controls. */
  notes: ReactNode;
  controls: ReactNode;
  /** It is of one pour, and where there are several one is chosen. */
  ofPour?: boolean;
}

/** A step: the sentence, then the drawing, then the figures; what can be changed stands beside them. */
export function StepLayout({
  title,
  sentence,
  drawing,
  figures,
  notes,
  controls,
  ofPour = false,
}: StepLayoutProps) {
  return (
    <section className={classes.step} aria-labelledby="step-title">
      <h2 id="step-title" className="visually-hidden">
        {title}
      </h2>
      <div className={classes.head}>
        <p className={classes.sentence} aria-live="polite" data-testid="sentence">
          {sentence}
        </p>
        {ofPour && <PourStrip />}
      </div>
      <div className={classes.drawing} data-testid="drawing">
        {drawing}
      </div>
      <dl className={classes.figures} data-testid="figures">
        {figures.map((f) => (
          <div key={f.label} className={classes.figure} data-lead={f.lead ?? false}>
            <dt>
              {f.label}
              {f.why && <Why code={f.why.code} of={f.why.of ?? ''} about={f.label} />}
            </dt>
            <dd>
              {f.value}
              {f.note !== undefined && <small> {f.note}</small>}
            </dd>
          </div>
        ))}
      </dl>
      <div className={classes.controls} data-off-paper>
        {notes}
        {controls}
      </div>
    </section>
  );
}
