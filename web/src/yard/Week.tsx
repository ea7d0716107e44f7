import { api } from '../api/client';
import { calendarDay, formatsFor } from '../format/format';
import { app, yard as words } from '../words';
import classes from './YardPage.module.css';
import { zone } from '../common/zone';

/** The forecast of the days to come. */
export function Week() {
  const forecast = api.useQuery('get', '/api/forecast', { params: { query: { timeZone: zone } } });
  if (!forecast.data) return null;
  const format = formatsFor('metric', zone);
  return (
    <section className={classes.week} aria-labelledby="week">
      <h2 className={classes.groupTitle} id="week">
        {words.week}
      </h2>
      <ul className={classes.weekDays}>
        {forecast.data.days.map(({ day: d }) => (
          <li key={d.date} data-dry={d.dry}>
            <b>{calendarDay(d.date).weekday}</b>
            <span>{calendarDay(d.date).day}</span>
            <span>{words.range(format.celsius(d.leastC), format.celsius(d.mostC))}</span>
            <span className={classes.rain}>
              {d.dry ? words.dry : words.rain(format.percent(d.rainChance))}
            </span>
          </li>
        ))}
      </ul>
      {forecast.data.simulated && <p className={classes.simulated}>{app.simulated}</p>}
    </section>
  );
}
