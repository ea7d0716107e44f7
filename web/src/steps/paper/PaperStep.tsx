import { Button, Checkbox, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { http, type Enum } from '../../api/client';
import { BYTE_ORDER, CSV_TYPE, csvText } from '../../common/csvFile';
import { fileName, saveFile } from '../../common/saveFile';
import { PourStrip } from '../../fields/PourStrip';
import { number } from '../../format/format';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { useTasks } from '../../job/useTasks';
import { paper as words } from '../../words';
import { BatchSheet } from './BatchSheet';
import { CureSheet } from './CureSheet';
import { CutSheet } from './CutSheet';
import { DaySheet } from './DaySheet';
import { LabelSheet } from './LabelSheet';
import { OutlineSheet } from './OutlineSheet';
import classes from './Paper.module.css';
import { ShopSheet } from './ShopSheet';
import { SiteSheet } from './SiteSheet';
import { tableOf, type Table } from './tables';
import { TaskSheet } from './TaskSheet';
import { useOutlines } from './useOutlines';

type Kind = keyof typeof words.sheets;
type Size = keyof typeof words.sizes;

const sheets: Record<Kind, () => React.ReactNode> = {
  site: SiteSheet,
  cuts: CutSheet,
  batches: BatchSheet,
  day: DaySheet,
  shop: ShopSheet,
  tasks: TaskSheet,
  cure: CureSheet,
  label: LabelSheet,
  outlines: OutlineSheet,
};

/** Which kinds of sheet this job has. */
function useKinds(): Kind[] {
  const { sections } = usePlanned();
  const outlines = useOutlines();
  const { build, load, day, buy, cure, shape } = sections;
  const cuts = build?.elements.some(
    (e) => e.mould !== null || e.steel.sheets.length > 0 || (e.forms?.bends.length ?? 0) > 0,
  );
  const has: Record<Kind, boolean> = {
    site: shape !== null && build?.elements.some((e) => e.mould === null) === true,
    cuts: build !== null && (build.boards.length + build.bars.length > 0 || cuts === true),
    batches: load !== null,
    day: day !== null,
    shop: buy !== null,
    tasks: build !== null,
    cure: cure !== null,
    label: cure !== null && day !== null,
    outlines: outlines.length > 0,
  };
  return (Object.keys(words.sheets) as Kind[]).filter((k) => has[k]);
}

type Drawing = Enum<'DrawingOf'>;

/** The same drawings for other programs: to scale, in millimetres, a layer for what each stroke is. */
function DrawingFiles() {
  const document = useDocument();
  const [wrong, setWrong] = useState(false);
  const save = async (of: Drawing, as: 'svg' | 'dxf') => {
    const { data } = await http
      .POST('/api/drawings', { body: { document } })
      .catch(() => ({ data: undefined }));
    const file = data?.files.find((f) => f.of === of);
    setWrong(!file);
    if (file)
      saveFile(
        `${fileName(document.name)} ${words.drawings[of]}.${as}`,
        as === 'svg' ? 'image/svg+xml' : 'application/dxf',
        file[as],
      );
  };
  return (
    <details className={classes.files} data-testid="drawing-files">
      <summary>{words.drawingsTitle}</summary>
      {wrong && <p role="alert">{words.noDrawing}</p>}
      {(Object.keys(words.drawings) as Drawing[]).map((of) => (
        <span key={of}>
          {words.drawings[of]}
          {(['svg', 'dxf'] as const).map((as) => (
            <Button
              key={as}
              size="compact-xs"
              variant="default"
              aria-label={`${words.drawings[of]}: ${as.toUpperCase()}`}
              onClick={() => void save(of, as)}
            >
              {as.toUpperCase()}
            </Button>
          ))}
        </span>
      ))}
    </details>
  );
}

/** The same lists for a spreadsheet. */
function TableFiles() {
  const document = useDocument();
  const { sections } = usePlanned();
  const { format } = useEditing();
  const report = useTasks();
  const of = { sections, tasks: report?.tasks ?? [], names: document.elements.map((e) => e.name), format };
  const found = (Object.keys(words.tables) as Table[]).flatMap((name) => {
    const rows = tableOf(name, of);
    return rows === null ? [] : [{ name, rows }];
  });
  return found.length === 0 ? null : (
    <details className={classes.files} data-testid="table-files">
      <summary>{words.tablesTitle}</summary>
      <div className={classes.tables}>
        {found.map(({ name, rows }) => (
          <Button
            key={name}
            size="compact-xs"
            variant="default"
            onClick={() => {
              saveFile(
                `${fileName(document.name)} ${words.tables[name]}.csv`,
                CSV_TYPE,
                BYTE_ORDER + csvText(rows),
              );
            }}
          >
            {words.tables[name]}
          </Button>
        ))}
      </div>
    </details>
  );
}

/** Pages made to be printed: those that are chosen stand below as they come out, and one press prints them. */
export function PaperStep() {
  const kinds = useKinds();
  const [off, setOff] = useState<Kind[]>(['outlines']);
  const { units } = useDocument();
  const [size, setSize] = useState<Size>(units === 'us' ? 'Letter' : 'A4');
  const chosen = kinds.filter((k) => !off.includes(k));
  return (
    <section className={classes.page} aria-labelledby="paper-title">
      {/* The size of the page is said to whoever prints it; nothing else on the page changes with it. */}
      <style>{`@page { size: ${size}; margin: 12mm; } @media print { [data-frame] { display: none !important; } }`}</style>
      <header className={classes.head} data-off-paper>
        <h2 id="paper-title">{words.title}</h2>
        <p data-testid="sentence">
          {kinds.length === 0 ? words.blocked : words.sentence(words.sheetsOf(number(chosen.length)))}
        </p>
        <div className={classes.tools}>
          <fieldset>
            <legend className="visually-hidden">{words.which}</legend>
            {kinds.map((k) => (
              <Checkbox
                key={k}
                label={words.sheets[k]}
                checked={chosen.includes(k)}
                onChange={(e) => {
                  const on = e.currentTarget.checked;
                  setOff((now) => (on ? now.filter((o) => o !== k) : [...now, k]));
                }}
              />
            ))}
          </fieldset>
          <SegmentedControl
            size="xs"
            aria-label={words.size}
            value={size}
            data={Object.entries(words.sizes).map(([value, label]) => ({ value, label }))}
            onChange={(v) => {
              setSize(v as Size);
            }}
          />
          <Button
            disabled={chosen.length === 0}
            onClick={() => {
              window.print();
            }}
          >
            {words.print}
          </Button>
        </div>
        <DrawingFiles />
        <TableFiles />
        <PourStrip />
      </header>
      <div className={classes.desk} role="region" aria-label={words.preview} tabIndex={0} data-testid="paper">
        {chosen.map((k) => {
          const One = sheets[k];
          return <One key={k} />;
        })}
      </div>
    </section>
  );
}
