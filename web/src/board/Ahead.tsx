import type { Mend } from '../api/client';
import { useTold } from '../common/useTold';
import { board as words } from '../words';
import partsStyles from './Parts.module.css';
import { useBoard } from './session';
import type { Telling } from '../job/useDiary';

/** What is told when a way out is taken on site; null for one that is a matter of the plan. */
function toldBy(does: Mend, pour: string): Telling | null {
  switch (does.code) {
    case 'addHand':
      return { kind: 'handsChanged', hands: does.hands, pour };
    case 'jointHere':
      return { kind: 'jointMade', batch: does.batch, pour };
    case 'coverNow':
      return { kind: 'coverOn', pour };
    case 'mistIt':
      return { kind: 'misted', pour };
    default:
      return null;
  }
}

/** What is coming, with what can be done now: one tap takes it. */
export function Ahead() {
  const { report, tell, pour, format } = useBoard();
  const sentences = useTold();
  const ahead = report.board?.ahead ?? [];
  if (ahead.length === 0 || sentences === null) return null;
  return (
    <section className={partsStyles.ahead} aria-label={words.ahead} data-testid="ahead">
      <h2>{words.ahead}</h2>
      <ul>
        {ahead.map((f) => (
          <li key={f.says.code} data-severity={f.severity} data-code={f.says.code}>
            <p>{sentences.findingText(f.says, format)}</p>
            {f.remedies.map((r) => {
              const told = toldBy(r.does, pour);
              return (
                told && (
                  <button key={r.does.code} type="button" onClick={() => tell(told)}>
                    {sentences.remedyText(r.does, format)}
                  </button>
                )
              );
            })}
          </li>
        ))}
      </ul>
    </section>
  );
}
