import { Button } from '@mantine/core';
import { useState } from 'react';
import type { ShopLine } from '../../api/client';
import { amountText } from '../../common/goodText';
import { useEditing } from '../../job/JobContext';
import { shop as words } from '../../words';
import classes from './ShopStep.module.css';

/** Not all of it: how many of each size went into the car. */
export function TookSome({
  line,
  name,
  onTake,
}: {
  line: ShopLine;
  name: string;
  onTake: (amount: number) => void;
}) {
  const { format } = useEditing();
  const [typed, setTyped] = useState<string[] | null>(null);
  const packs = line.left;
  if (typed === null) {
    return (
      <Button
        size="compact-sm"
        variant="subtle"
        aria-label={`${name}: ${words.some}`}
        onClick={() => {
          setTyped(packs.map(() => ''));
        }}
      >
        {words.some}
      </Button>
    );
  }
  const counts = typed.map((t) => (t.trim() === '' ? 0 : Number(t.replace(',', '.'))));
  const amount = packs.reduce((all, p, i) => all + p.size * (counts[i] ?? 0), 0);
  const sound = counts.every((c) => Number.isFinite(c) && c >= 0) && amount > 0;
  return (
    <form
      className={classes.some}
      onSubmit={(e) => {
        e.preventDefault();
        if (!sound) return;
        onTake(amount);
        setTyped(null);
      }}
    >
      {packs.map((p, i) => {
        const size = line.line.unit === 'piece' && p.size === 1 ? '' : amountText(line.line, p.size, format);
        return (
          <label key={p.id}>
            <input
              className={classes.price}
              autoFocus={i === 0}
              inputMode="decimal"
              aria-label={words.someOf(name, size)}
              value={typed[i] ?? ''}
              onChange={(e) => {
                setTyped(typed.with(i, e.currentTarget.value));
              }}
            />{' '}
            {size !== '' && words.each(size)}
          </label>
        );
      })}
      <Button size="compact-sm" type="submit" disabled={!sound || undefined}>
        {words.take}
      </Button>
    </form>
  );
}
