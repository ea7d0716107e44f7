import { heights } from '../../common/buildRows';
import { BuildDrawing } from '../../drawing/BuildDrawing';
import { PlanDrawing } from '../../drawing/PlanDrawing';
import { SectionDrawing } from '../../drawing/SectionDrawing';
import { useEditing, usePlanned } from '../../job/JobContext';
import { build as buildWords, paper as words } from '../../words';
import classes from './Paper.module.css';
import { Rows, Sheet } from './Sheet';

/** What is set out: plan with heights, stakes and boards, section, diagonals. A sheet for each element. */
export function SiteSheet() {
  const { sections } = usePlanned();
  const { format } = useEditing();
  const { shape, build } = sections;
  return shape?.elements.map((element) => {
    const built = build?.elements.find((e) => e.index === element.index);
    // What is cast in a mould is set out on the bench: its sheet is that of the cuts.
    if (!built || !build || built.mould !== null) return null;
    return (
      <Sheet key={element.index} sheet="site">
        <h3>{element.name}</h3>
        <p>
          {built.dig &&
            words.dig(
              format.small(built.dig.depthMm),
              built.dig.baseMm > 0 ? format.small(built.dig.baseMm) : '',
            )}{' '}
          {words.string(format.small(build.stringMm))}
        </p>
        <div className={classes.plan}>
          <PlanDrawing element={element} format={format} />
        </div>
        <h3>{words.plan}</h3>
        <div className={classes.plan}>
          <BuildDrawing element={element} built={built} steel={false} format={format} />
        </div>
        <h3>{words.section}</h3>
        <div className={classes.section}>
          <SectionDrawing element={element} built={built} format={format} />
        </div>
        <Rows title={words.heights} rows={heights(built, format)} />
        <Rows
          title={buildWords.diagonals}
          rows={built.diagonals.map((d) => [
            buildWords.diagonal(d.from + 1, d.to + 1),
            format.length(d.lengthM),
          ])}
        />
      </Sheet>
    );
  });
}
