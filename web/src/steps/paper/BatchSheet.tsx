import { batchSize } from '../../common/batchSize';
import { measureAmount, measureName } from '../../common/measureText';
import { number } from '../../format/format';
import { useEditing, usePlanned } from '../../job/JobContext';
import { load as loadWords, loading, paper as words } from '../../words';
import classes from './Paper.module.css';
import { Sheet } from './Sheet';

/** A card for each size of batch, to hang on the mixer: what goes in, in which order, and a box for each to tick. */
export function BatchSheet() {
  const { load } = usePlanned().sections;
  const { format } = useEditing();
  if (!load) return null;
  return (
    <Sheet sheet="batches">
      {load.recipes.map((recipe, r) => {
        const own = load.batches.filter((b) => b.recipe === r);
        return (
          <section key={r} className={classes.card}>
            <h3>{words.batchCard(batchSize(recipe), number(own.length))}</h3>
            <ul className={classes.amounts}>
              {recipe.measures.map((m) => (
                <li key={m.what + m.of}>
                  <b>{measureAmount(m, format)}</b> {measureName(m)}
                </li>
              ))}
            </ul>
            {load.loadingOrder.length > 0 && (
              <>
                <h4>{words.loading}</h4>
                <ol className={classes.order}>
                  {load.loadingOrder.map((move) => (
                    <li key={move.step}>
                      {loading[move.step]}
                      {(move.step === 'halfTheWater' || move.step === 'mostOfTheWater') &&
                        ` ${format.litres(recipe.firstWaterL)}`}
                      <span>{loadWords.seconds(number(move.seconds))}</span>
                    </li>
                  ))}
                </ol>
              </>
            )}
            <p>{words.tick}</p>
            <ul className={classes.boxes}>
              {own.map((b) => (
                <li key={b.number}>☐ {number(b.number)}</li>
              ))}
            </ul>
          </section>
        );
      })}
    </Sheet>
  );
}
