import type { JobEvent, PlanReport } from '../api/client';
import { standing } from './lineText';
import type { BoardReport } from './thing';

/** What one line moves on a board; windows are the planner's to move. */
function after(board: BoardReport, line: JobEvent): BoardReport {
  switch (line.kind) {
    case 'dayBegun':
      return { ...board, begun: true };
    case 'batchMixing': {
      const { mixing } = board;
      if (line.batch !== mixing.batches.length + 1) return board;
      return {
        ...board,
        mixing: {
          ...mixing,
          batches: [...mixing.batches, { begun: line.at, placed: null }],
          lies: null,
          by: null,
        },
      };
    }
    case 'batchPlaced': {
      const { mixing } = board;
      // Those before it lie too, whether they were told or not.
      const batches = Array.from({ length: Math.max(mixing.batches.length, line.batch) }, (_, i) => {
        const told = mixing.batches[i];
        return i < line.batch
          ? { begun: told?.begun ?? line.at, placed: told?.placed ?? line.at }
          : (told ?? { begun: line.at, placed: null });
      });
      const next = batches.length < mixing.of ? line.at : null;
      return { ...board, mixing: { ...mixing, batches, next, lies: null, by: null } };
    }
    case 'passBegun':
      return {
        ...board,
        todo: board.todo.map((t) =>
          t.zone === line.zone && t.pass === line.pass ? { ...t, begun: line.at } : t,
        ),
      };
    case 'passDone':
      return {
        ...board,
        todo: board.todo.filter((t) => t.zone !== line.zone || t.pass !== line.pass),
        // What is done is late no more.
        ahead: board.ahead.filter(
          ({ says }) => says.code !== 'zonesCollide' || says.zone !== line.zone || says.pass !== line.pass,
        ),
      };
    default:
      return board;
  }
}

/**
 * A report with what was told since it was made: done is done, though nobody has planned with it yet.
 * @param told Ids of the lines that it was made with.
 */
export function movedOn(report: PlanReport, told: ReadonlySet<string>, lines: JobEvent[]): PlanReport {
  const { board, pour, pours } = report;
  if (!board || lines.every((l) => told.has(l.id))) return report;
  const later = standing(lines, pour ?? '', pours[0]?.id === pour).filter((l) => !told.has(l.id));
  return { ...report, board: later.sort((a, b) => Date.parse(a.at) - Date.parse(b.at)).reduce(after, board) };
}
