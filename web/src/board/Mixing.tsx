import { duration, number } from '../format/format';
import { measureAmount, measureName } from '../common/measureText';
import { board as words, load as loadWords, loading } from '../words';
import partsStyles from './Parts.module.css';
import { useBoard } from './session';

/** The batches: how many, how fast, and the card of the one in hand. */
export function Mixing() {
  const { report, tell, pour, format } = useBoard();
  const { board, load } = report;
  if (!board || !load) return null;
  const { mixing } = board;
  const last = mixing.batches.at(-1);
  const inMixer = last !== undefined && last.placed === null;
  const inHand = inMixer ? mixing.batches.length : mixing.batches.length + 1;
  const batch = load.batches.find((b) => b.number === inHand);
  const recipe = batch && load.recipes[batch.recipe];
  const placed = mixing.batches.filter((b) => b.placed !== null).length;
  return (
    <>
      <p className={partsStyles.lead} data-testid="batches">
        {words.batchesDone(number(placed), number(mixing.of))}
      </p>
      <p>
        {(batch ? words.endsAt : words.endedAt)(format.time(mixing.endsAt), format.time(mixing.plannedEnd))}
        {mixing.paceFactor !== 1 && `; ${words.pace(format.percent(mixing.paceFactor))}`}.{' '}
        {words.joint(duration(mixing.jointAgeMin), duration(mixing.jointLimitMin))}.
      </p>
      {board.begun && batch && (
        <div className={partsStyles.pair}>
          <button
            type="button"
            disabled={inMixer}
            onClick={() => tell({ kind: 'batchMixing', batch: inHand, pour })}
          >
            {words.inMixer}
          </button>
          <button
            type="button"
            disabled={!inMixer}
            onClick={() => tell({ kind: 'batchPlaced', batch: inHand, pour })}
          >
            {words.placed}
          </button>
        </div>
      )}
      {batch && recipe && (
        <section
          className={partsStyles.card}
          aria-label={words.batch(number(inHand), number(mixing.of))}
          data-testid="batch-card"
        >
          <h2>{words.batch(number(inHand), number(mixing.of))}</h2>
          <ul className={partsStyles.amounts}>
            {recipe.measures.map((m) => (
              <li key={m.what + m.of} data-what={m.what}>
                <b>{measureAmount(m, format)}</b> {measureName(m)}
              </li>
            ))}
          </ul>
          <ol className={partsStyles.order}>
            {load.loadingOrder.map((move) => (
              <li key={move.step}>
                <span>
                  {loading[move.step]}
                  {(move.step === 'halfTheWater' || move.step === 'mostOfTheWater') &&
                    ` ${format.litres(recipe.firstWaterL)}`}
                </span>
                <span>{loadWords.seconds(number(move.seconds))}</span>
              </li>
            ))}
          </ol>
        </section>
      )}
    </>
  );
}
