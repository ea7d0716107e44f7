import { UnstyledButton } from '@mantine/core';
import { Link } from 'wouter';
import type { LearntReport } from '../api/client';
import { useYardEnglish } from '../common/useYardEnglish';
import { AppFrame } from '../frame/AppFrame';
import { LearntList } from '../common/LearntList';
import { useLearnt, type LearntHandle } from '../common/useLearnt';
import { change, formatsFor } from '../format/format';
import { useRole } from '../own/useRole';
import { app, faultSigns, learnt as learntWords, season as words } from '../words';
import table from '../common/RuledTable.module.css';
import classes from './SeasonPage.module.css';

type Pour = LearntReport['pours'][number];

function Row({ pour, leaveOut }: { pour: Pour; leaveOut: LearntHandle['leaveOut'] }) {
  const format = formatsFor(pour.units, pour.timeZone);
  const plans = useRole() === 'plan';
  return (
    <tr data-left-out={pour.leftOut} data-testid="season-pour">
      <td>{format.date(pour.at)}</td>
      <th scope="row">
        <Link to={`/jobs/${pour.job}/lookBack`}>{pour.name}</Link>
      </th>
      <td>{format.bulk(pour.litres)}</td>
      <td>{pour.faults.length === 0 ? words.noFaults : pour.faults.map((f) => faultSigns[f]).join('; ')}</td>
      <td className={classes.factors}>
        {pour.readings.map((r) => (
          <span key={r.key.of}>
            {learntWords.of[r.key.of]} <b>{change(r.factor)}</b>
          </span>
        ))}
      </td>
      <td>
        {plans && (
          <UnstyledButton
            className={classes.leave ?? ''}
            aria-label={`${pour.leftOut ? words.putBack : words.leaveOut}: ${pour.name}`}
            onClick={() => void leaveOut(pour.job, pour.pour, !pour.leftOut)}
          >
            {pour.leftOut ? words.putBack : words.leaveOut}
          </UnstyledButton>
        )}
      </td>
    </tr>
  );
}

/** The yard's season: what was poured, how it went, and what it taught. */
export function SeasonPage() {
  useYardEnglish();
  const learnt = useLearnt();
  const pours = learnt.report?.pours ?? [];
  return (
    <AppFrame page={words.title} title={words.title}>
      <div className={classes.page}>
        <section aria-labelledby="pours-title" className={classes.part}>
          <h2 id="pours-title">{words.pours}</h2>
          {learnt.report === null ? (
            <p>{app.loading}</p>
          ) : pours.length === 0 ? (
            <p>{words.none}</p>
          ) : (
            <table className={`${table.ruled ?? ''} ${classes.table ?? ''}`}>
              <thead>
                <tr>
                  <th scope="col">{words.when}</th>
                  <th scope="col">{words.job}</th>
                  <th scope="col">{words.amount}</th>
                  <th scope="col">{words.faults}</th>
                  <th scope="col">{learntWords.says}</th>
                  <th scope="col">{words.teaches}</th>
                </tr>
              </thead>
              <tbody>
                {pours.map((p) => (
                  <Row key={`${p.job} ${p.pour}`} pour={p} leaveOut={learnt.leaveOut} />
                ))}
              </tbody>
            </table>
          )}
        </section>
        <section aria-labelledby="learnt-title" className={classes.part}>
          <h2 id="learnt-title">{learntWords.title}</h2>
          <LearntList learnt={learnt} />
        </section>
        <p>
          <Link to="/">{app.backToYard}</Link>
        </p>
      </div>
    </AppFrame>
  );
}
