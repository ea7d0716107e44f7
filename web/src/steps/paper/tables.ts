import type { CutListReport, TaskReport } from '../../api/client';
import { boardName } from '../../common/boardName';
import { eventsOf } from '../../common/cureEvents';
import { fixed, number, type Formats } from '../../format/format';
import type { Sections } from '../../job/sections';
import { build, paper as words, passes, passSigns, taskPhases, workTasks } from '../../words';

/** What the tables of a job are made of. */
export interface Tabled {
  sections: Sections;
  tasks: TaskReport[];
  /** What the elements are called, in the order of the job. */
  names: string[];
  format: Formats;
}

export type Table = keyof typeof words.tables;

const mm = (metres: number) => fixed(metres * 1000, 1);
const nameOf = ({ names }: Tabled, element: number | null) =>
  element === null ? '' : (names[element] ?? '');

const cutsOf = (list: CutListReport, f: Formats): string[][] =>
  list.boards.flatMap((board, i) =>
    board.cuts.map((cut) => [
      boardName(list.stock),
      number(i + 1),
      mm(board.lengthM),
      f.length(cut.lengthM),
      mm(cut.lengthM),
      cut.for,
    ]),
  );

/** The rows of every table there is. Sizes stand as the job has them, and in millimetres for whoever reckons on. */
const rowsOf: Record<Table, (of: Tabled) => string[][]> = {
  cuts: ({ sections: { build: b }, format }) =>
    [...(b?.boards ?? []), ...(b?.bars ?? [])].flatMap((list) => cutsOf(list, format)),
  heights: (of) =>
    (of.sections.build?.elements ?? []).flatMap((e) => [
      ...e.corners.map((down, i) => [
        nameOf(of, e.index),
        build.corner(i + 1),
        of.format.small(down),
        fixed(down, 1),
      ]),
      ...(e.forms?.stakes ?? []).map((s, i) => [
        nameOf(of, e.index),
        build.stakeNo(i + 1, e.forms?.nailed ?? false),
        of.format.small(s.downMm),
        fixed(s.downMm, 1),
      ]),
    ]),
  batches: ({ sections: { load }, format: f }) =>
    (load?.batches ?? []).map((b) => [
      number(b.number),
      fixed(b.volumeL, 1),
      b.waterAdded === null ? '' : f.dateTime(b.waterAdded),
      b.placed === null ? '' : f.dateTime(b.placed),
    ]),
  passes: (of) =>
    (of.sections.day?.zones ?? []).flatMap((z) =>
      z.passes.map((p) => [
        number(z.number),
        nameOf(of, z.element),
        passes[p.pass],
        of.format.dateTime(p.opensEarliest),
        of.format.dateTime(p.opensLatest),
        of.format.dateTime(p.closes),
        fixed(p.workMin, 0),
        passSigns[p.pass],
      ]),
    ),
  tasks: (of) =>
    of.tasks.map((t) => [
      taskPhases[t.phase],
      workTasks[t.task].title,
      nameOf(of, t.element),
      t.on ?? '',
      t.minutes === null ? '' : fixed(t.minutes, 0),
      number(t.people),
      workTasks[t.task].sign,
    ]),
  cure: ({ sections: { cure, day }, format }) =>
    cure && day
      ? eventsOf(day, cure, format).map((e) => [
          format.isoDate(e.at),
          format.time(e.at),
          e.title,
          e.more ?? '',
        ])
      : [],
};

/** A table with what stands over it; null where this job has nothing for it. */
export function tableOf(table: Table, of: Tabled): string[][] | null {
  const rows = rowsOf[table](of);
  return rows.length === 0 ? null : [[...words.columns[table]], ...rows];
}
