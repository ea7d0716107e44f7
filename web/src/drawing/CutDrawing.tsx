import type { CutListReport } from '../api/client';
import { boardName } from '../common/boardName';
import { number, type Formats } from '../format/format';
import { build as words, verdicts } from '../words';
import classes from './CutDrawing.module.css';

/** Past so many boards a drawing says no more than the list. */
const MOST_BOARDS = 40;

/** A piece that takes less of the longest board has no room for its size: it is told below. */
const NARROW = 0.14;

/** Every board from stock with its cuts, all to one scale; what is left over is hatched. */
export function CutDrawing({ lists, format }: { lists: CutListReport[]; format: Formats }) {
  const longest = Math.max(...lists.flatMap((l) => l.boards.map((b) => b.lengthM)), 0.1);
  const isNarrow = (m: number) => m < NARROW * longest;
  const share = (m: number) => `${String((m / longest) * 100)}%`;
  return (
    <div className={classes.lists}>
      {lists.map((list) => (
        <section
          key={list.stock}
          aria-label={words.drawnOnStock(boardName(list.stock))}
          className={classes.list}
        >
          <h3>
            {words.cutList(boardName(list.stock))}{' '}
            <small>{words.cutVerdict(list.count, list.lowerBound, verdicts[list.verdict])}</small>
          </h3>
          <ol>
            {list.boards.slice(0, MOST_BOARDS).map((board, i) => (
              <li key={i}>
                <span className={classes.stock}>{format.length(board.lengthM)}</span>
                <span className={classes.board} style={{ width: `calc(${share(board.lengthM)} * 0.88)` }}>
                  {board.cuts.map((cut, k) => (
                    <span
                      key={k}
                      className={classes.cut}
                      style={{ width: `${String((cut.lengthM / board.lengthM) * 100)}%` }}
                      title={words.pieceFor(cut.for)}
                    >
                      {!isNarrow(cut.lengthM) && (
                        <>
                          {format.length(cut.lengthM)} <small>{cut.for}</small>
                        </>
                      )}
                    </span>
                  ))}
                </span>
                {board.cuts.some((c) => isNarrow(c.lengthM)) && (
                  <span className={classes.narrow}>
                    {words.narrow(
                      board.cuts
                        .filter((c) => isNarrow(c.lengthM))
                        .map((c) => `${format.length(c.lengthM)} ${words.pieceFor(c.for)}`)
                        .join(', '),
                    )}
                  </span>
                )}
              </li>
            ))}
          </ol>
          {list.count > MOST_BOARDS && <p>{words.moreBoards(number(list.count - MOST_BOARDS))}</p>}
        </section>
      ))}
    </div>
  );
}
