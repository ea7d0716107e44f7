import type { ReactNode } from 'react';
import { useDocument } from '../../job/JobContext';
import { paper as words } from '../../words';
import classes from './Paper.module.css';

/** One sheet: it begins on a page of its own, and says whose it is. */
export function Sheet({ sheet, children }: { sheet: keyof typeof words.sheets; children: ReactNode }) {
  const { name } = useDocument();
  return (
    <article className={classes.sheet} data-sheet={sheet} aria-label={words.sheets[sheet]}>
      <h2 className={classes.title}>{words.pageOf(name, words.sheets[sheet])}</h2>
      {children}
    </article>
  );
}

/** A line to write on. */
export const Blank = ({ short = false }: { short?: boolean }) => (
  <span className={short ? classes.short : classes.blank} aria-hidden />
);

export function Rows({
  title,
  rows,
  note,
}: {
  title: string;
  rows: [string, string][];
  note?: string | undefined;
}) {
  if (rows.length === 0) return null;
  return (
    <section className={classes.rows}>
      <h3>{title}</h3>
      {note !== undefined && <p>{note}</p>}
      <dl>
        {rows.map(([what, value], i) => (
          <div key={i}>
            <dt>{what}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
