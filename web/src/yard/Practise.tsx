import { Link } from 'wouter';
import type { Enum } from '../api/client';
import { lessons, yard as words } from '../words';
import classes from './YardPage.module.css';

/** Ready-made days to rehearse: nothing of them is kept. */
export function Practise() {
  return (
    <section className={classes.practise} aria-labelledby="practise">
      <h2 className={classes.groupTitle} id="practise">
        {words.practise}
      </h2>
      <ul>
        {(Object.keys(lessons) as Enum<'Lesson'>[]).map((l) => (
          <li key={l}>
            <Link to={`/lessons/${l}`}>{lessons[l].name}</Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
