import { number } from '../../format/format';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { passes, passSigns, paper as words } from '../../words';
import classes from './Paper.module.css';
import { Blank, Sheet } from './Sheet';

const NOTE_LINES = [1, 2, 3, 4, 5];

/** The day with its windows, and blanks for what it was: to be told later from the same sheet. */
export function DaySheet() {
  const { day, load } = usePlanned().sections;
  const { elements } = useDocument();
  const { format } = useEditing();
  if (!day) return null;
  return (
    <Sheet sheet="day">
      <p className={classes.line}>
        <b>{words.firstWater}</b> {words.planned(format.dateTime(day.start))}, {words.real} <Blank />
      </p>
      <p className={classes.line}>
        {words.measured} <Blank />
      </p>
      <table className={classes.table}>
        <thead>
          <tr>
            <th scope="col">{words.zone}</th>
            <th scope="col">{words.pass}</th>
            <th scope="col">{words.window}</th>
            <th scope="col">{words.sign}</th>
            <th scope="col">{words.begun}</th>
            <th scope="col">{words.done}</th>
          </tr>
        </thead>
        <tbody>
          {day.zones.flatMap((z) =>
            z.passes.map((p) => (
              <tr key={`${z.number}${p.pass}`}>
                <th scope="row">
                  {number(z.number)}
                  {elements.length > 1 && ` ${elements[z.element]?.name ?? ''}`}
                </th>
                <td>{passes[p.pass]}</td>
                <td className={classes.figures}>
                  {format.time(p.opensEarliest)}–{format.time(p.opensLatest)}
                </td>
                <td className={classes.small}>{passSigns[p.pass]}</td>
                <td>
                  <Blank short />
                </td>
                <td>
                  <Blank short />
                </td>
              </tr>
            )),
          )}
        </tbody>
      </table>
      {load && (
        <table className={classes.table}>
          <thead>
            <tr>
              <th scope="col">{words.batch}</th>
              <th scope="col">{words.firstWater}</th>
              <th scope="col">{words.real}</th>
              <th scope="col">{words.placed}</th>
              <th scope="col">{words.moreWater}</th>
            </tr>
          </thead>
          <tbody>
            {load.batches.map((b) => (
              <tr key={b.number}>
                <th scope="row">{number(b.number)}</th>
                <td className={classes.figures}>{b.waterAdded ? format.time(b.waterAdded) : ''}</td>
                <td>
                  <Blank short />
                </td>
                <td>
                  <Blank short />
                </td>
                <td>
                  <Blank short />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <section className={classes.notes}>
        <p>{words.notes}</p>
        {NOTE_LINES.map((n) => (
          <hr key={n} />
        ))}
      </section>
    </Sheet>
  );
}
