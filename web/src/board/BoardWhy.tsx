import { Formula } from '../common/Formula';
import { useBoard } from './session';
import { Sheet } from './Sheet';
import { board as words, why } from '../words';

interface BoardWhyProps {
  /** From 1; null where it was of no zone. */
  zone: number | null;
  /** Id of the line that was told. */
  line: string;
  onClose: () => void;
}

/** What is believed before any sign, what was read, and what is believed now. */
export function BoardWhy({ zone, line, onClose }: BoardWhyProps) {
  const { report, format } = useBoard();
  const found = report.explanations.filter(
    (e) =>
      (e.says.code === 'zoneSet' && e.says.zone === (zone ?? 1)) ||
      (e.says.code === 'signRead' && e.of === line) ||
      e.says.code === 'sheenRead',
  );
  return (
    <Sheet title={words.why} label={why.button(words.why)} onClose={onClose}>
      {found.map((e) => (
        <Formula key={e.says.code + e.of} found={e} citations={report.citations} format={format} />
      ))}
    </Sheet>
  );
}
