import { partRows } from '../../common/buildRows';
import { BuildDrawing } from '../../drawing/BuildDrawing';
import { CutDrawing } from '../../drawing/CutDrawing';
import { MouldDrawing } from '../../drawing/MouldDrawing';
import { number } from '../../format/format';
import { useEditing, usePlanned } from '../../job/JobContext';
import { joints, build as buildWords, paper as words, strips } from '../../words';
import classes from './Paper.module.css';
import { Rows, Sheet } from './Sheet';

/** What is cut: boards and bars laid on stock, parts of moulds, mesh as it lies. */
export function CutSheet() {
  const { sections } = usePlanned();
  const { format: f } = useEditing();
  const { shape, build } = sections;
  if (!build || !shape) return null;
  const lists = [...build.boards, ...build.bars].filter((l) => l.count > 0);
  return (
    <>
      {lists.length > 0 && (
        <Sheet sheet="cuts">
          <h3>{words.cut}</h3>
          <CutDrawing lists={lists} format={f} />
        </Sheet>
      )}
      {build.elements.map((built) => {
        const element = shape.elements.find((e) => e.index === built.index);
        const { mould, forms, steel } = built;
        const bends = forms?.bends ?? mould?.bends ?? [];
        if (!element || (mould === null && bends.length === 0 && steel.sheets.length === 0)) return null;
        return (
          <Sheet key={built.index} sheet="cuts">
            <h3>{element.name}</h3>
            {mould && (
              <>
                {mould.mirrored && <p className={classes.strong}>{words.mirrored}</p>}
                <div className={classes.plan}>
                  <MouldDrawing element={element} mould={mould} format={f} />
                </div>
                <Rows
                  title={words.parts}
                  rows={partRows(mould, f)}
                  note={words.forMould(number(mould.moulds))}
                />
              </>
            )}
            {steel.sheets.length > 0 && (
              <>
                <p>{words.meshSheets(number(steel.sheetCount), element.name)}</p>
                <div className={classes.plan}>
                  <BuildDrawing element={element} built={built} steel format={f} />
                </div>
              </>
            )}
            <Rows
              title={buildWords.bendsTitle}
              rows={bends.map((b) => [
                joints.edge(b.edge + 1),
                buildWords.bend(
                  b.edge + 1,
                  f.length(b.radiusM),
                  f.length(b.cutM),
                  `${f.small(b.thicknessMm)} ${strips[b.strip]}`,
                ),
              ])}
            />
          </Sheet>
        );
      })}
    </>
  );
}
