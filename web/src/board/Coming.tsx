import { board as words } from '../words';
import partsStyles from './Parts.module.css';
import { useBoard } from './session';
import { keyOf, type Thing } from './thing';
import { titleOf, whereOf } from './thingText';

const MOST = 6;

/** What comes after what is next, with when. */
export function Coming({ things }: { things: Thing[] }) {
  const { report, format } = useBoard();
  const later = things.slice(1, 1 + MOST);
  if (later.length === 0) return null;
  return (
    <section className={partsStyles.coming} aria-label={words.coming}>
      <h2>{words.coming}</h2>
      <ol>
        {later.map((t) => (
          <li key={keyOf(t)} data-state={t.state}>
            <b>{format.time(new Date(t.at).toISOString())}</b> {whereOf(t, report.board?.mixing.of ?? 0)}:{' '}
            {titleOf(t).toLowerCase()}
            {t.kind === 'pass' && <span>{words.until(format.time(t.task.closes))}</span>}
          </li>
        ))}
      </ol>
    </section>
  );
}
