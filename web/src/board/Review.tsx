import { duration, number } from '../format/format';
import { board as words, faultTimes, finishFaults, passes, thumbMarks } from '../words';
import partsStyles from './Parts.module.css';
import { useBoard } from './session';

/** Of a rehearsed day: what went wrong, by how much, and which sign would have told; at its end also what was hidden. */
export function Review() {
  const { rehearsal, report, format, about } = useBoard();
  if (!rehearsal) return null;
  if (rehearsal.faults.length === 0 && rehearsal.hidden === null)
    return about === '' ? null : <p className={partsStyles.change}>{about}</p>;
  return (
    <section className={partsStyles.change} aria-label={words.rehearse.review} data-testid="review">
      <h2>{words.rehearse.review}</h2>
      {rehearsal.faults.length === 0 && <p>{words.rehearse.well}</p>}
      <ul>
        {rehearsal.faults.map((f) => {
          const when = (f.laterMin > 0 ? faultTimes.later : faultTimes.sooner)(
            duration(Math.abs(f.laterMin)),
          );
          return (
            <li key={`${f.zone} ${f.pass}`} data-fault={f.fault}>
              <b>{words.zone(number(f.zone))}</b>{' '}
              {finishFaults[f.fault](passes[f.pass], when, f.sign === null ? '' : thumbMarks[f.sign])}
            </li>
          );
        })}
        {rehearsal.hidden?.map((z) => (
          <li key={z.number}>
            {words.rehearse.hiddenZone(
              words.zone(number(z.number)),
              z.laterPct >= 0
                ? words.laterPct(number(z.laterPct))
                : words.soonerPct(number(Math.abs(z.laterPct))),
              z.sheenGone === null ? '' : words.rehearse.dryAt(format.time(z.sheenGone)),
            )}
          </li>
        ))}
      </ul>
      {report.board?.closed && <p>{words.rehearse.hint}</p>}
    </section>
  );
}
