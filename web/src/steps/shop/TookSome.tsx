import { Button } from '@mantine/core';
import { useState } from 'react';
import type { ShopLine } from '../../api/client';
import { shop as words } from '../../words';
import classes from './ShopStep.module.css';

/** Not all of it: how much went into the car, in the unit that it is counted in. */
export function TookSome({
  line,
  name,
  onTake,
}: {
  line: ShopLine;
  name: string;
  onTake: (amount: number) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  if (typed === null) {
    return (
      <Button
        size="compact-sm"
        variant="subtle"
        aria-label={`${name}: ${words.some}`}
        onClick={() => {
          setTyped('');
        }}
      >
        {words.some}
      </Button>
    );
  }
  const amount = Number(typed.replace(',', '.'));
  const sound = typed.trim() !== '' && Number.isFinite(amount) && amount > 0;
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
      <input
        className={classes.price}
        autoFocus
        inputMode="decimal"
        aria-label={words.someOf(name)}
        value={typed}
        onChange={(e) => {
          setTyped(e.currentTarget.value);
        }}
      />
      <span>{line.line.unit === 'piece' ? '' : line.line.unit === 'l' ? 'L' : line.line.unit}</span>
      <Button size="compact-sm" type="submit" disabled={!sound}>
        {words.take}
      </Button>
    </form>
  );
}
