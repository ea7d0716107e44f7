import { useState } from 'react';
import { api, type BuyReport, type JobDocument } from '../../api/client';
import { number, type Formats } from '../../format/format';
import { Notes } from '../../fields/Notes';
import { StepLayout, type Figure } from '../../fields/StepLayout';
import { Views } from '../../common/Views';
import { buy as words, mix as mixWords, steps } from '../../words';
import { useDocument, useEditing, usePlanned } from '../../job/JobContext';
import { BuyControls } from './BuyControls';
import { Compare } from './Compare';
import { ShoppingList } from './ShoppingList';

type View = keyof typeof words.views;

function sentenceOf(buy: BuyReport | null, format: Formats): string {
  if (!buy) return words.blocked;
  const { carry } = buy;
  return words.sentence(
    format.money(buy.cost),
    mixWords.eachSpoken(format.moneyEach(buy.perLitre), format.units === 'us'),
    carry.delivered
      ? words.delivered(format.mass(buy.kg), format.money(carry.deliveryCost), carry.trips)
      : words.trips(carry.trips, format.mass(buy.kg)),
  );
}

const figuresOf = (buy: BuyReport, document: JobDocument, format: Formats): Figure[] => [
  { label: words.cost, value: format.money(buy.cost), lead: true, why: { code: 'cost' } },
  {
    label: words.perSpoken(format.units === 'us'),
    value: format.moneyEach(buy.perLitre),
    why: { code: 'perLitre' },
  },
  { label: words.mass, value: format.mass(buy.kg), why: { code: 'load' } },
  { label: words.trips_, value: number(buy.carry.trips), why: { code: 'trips' } },
  ...(buy.elements.length > 1
    ? buy.elements.map((e) => ({
        label: words.elementCost(document.elements[e.index]?.name ?? ''),
        value: format.money(e.cost),
      }))
    : []),
];

export function BuyStep() {
  const document = useDocument();
  const { sections } = usePlanned();
  const { format } = useEditing();
  const [view, setView] = useState<View>('list');
  const { data: bags = [] } = api.useQuery('get', '/api/bags', {}, { staleTime: Infinity });
  const { buy } = sections;
  return (
    <StepLayout
      title={steps.buy}
      sentence={sentenceOf(buy, format)}
      drawing={
        buy && (
          <Views label={mixWords.viewsLabel} of={words.views} value={view} onChoose={setView}>
            {view === 'list' ? (
              <ShoppingList buy={buy} bags={bags} />
            ) : (
              <Compare supply={buy.supply} format={format} />
            )}
          </Views>
        )
      }
      figures={buy ? figuresOf(buy, document, format) : []}
      notes={<Notes under={['/buy']} only={['error', 'warning', 'note']} />}
      controls={<BuyControls bags={bags} />}
    />
  );
}
