import { api, type Enum } from '../../api/client';
import { mixText } from '../../common/mixName';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { paper as words, schools } from '../../words';
import classes from './Paper.module.css';
import { Sheet } from './Sheet';

/** What the slab would say if one asked it years later: to be cut out and kept, or taped under a tread. */
export function LabelSheet() {
  const { mix, day, cure, build } = usePlanned().sections;
  const document = useDocument();
  const { format } = useEditing();
  const { data: bags = [] } = api.useQuery('get', '/api/bags', undefined, { staleTime: Infinity });
  if (!day || !cure || !mix) return null;
  const at = (milestone: Enum<'Milestone'>) =>
    cure.milestones.find((m) => m.milestone === milestone)?.at ?? null;
  const dated = (label: string, when: string | null): [string, string][] =>
    when === null ? [] : [[label, format.date(when)]];
  const steel = [...new Set(build?.elements.map((e) => schools[e.steel.school]) ?? [])].join(', ');
  const rows: [string, string][] = [
    ...document.mixes
      .slice(0, 1)
      .map((m): [string, string] => [words.label.mix, mixText(m, bags, document.buy.bags, format)]),
    [words.label.poured, format.date(day.start)],
    [words.label.strength, format.strength(cure.at28Mpa)],
    [words.label.steel, steel],
    ...dated(words.label.wet, cure.wetUntil),
    ...dated(words.label.strip, at('stripEdges') ?? at('turnPiece')),
    ...dated(words.label.walk, at('walk')),
    ...dated(words.label.loaded, at('cars') ?? at('furniture')),
    ...dated(words.label.seal, cure.coats[0]?.at ?? null),
  ];
  return (
    <Sheet sheet="label">
      <div className={classes.label}>
        <b>{document.name}</b>
        <dl>
          {rows.map(([what, value]) => (
            <div key={what}>
              <dt>{what}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        </dl>
      </div>
    </Sheet>
  );
}
