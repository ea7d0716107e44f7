import { TextInput } from '@mantine/core';
import { useId } from 'react';
import { api, type YardThings } from '../api/client';
import { yardNames } from '../words';

interface YardNameProps<T> {
  label: string;
  value: string;
  /** Those that have a name in the yard. */
  of: (things: YardThings) => T[];
  nameOf: (thing: T) => string | null | undefined;
  /** One of them was chosen: it brings along what it is. */
  onChoose: (thing: T) => void;
  /** In a row of other fields: the label is for the ear. */
  compact?: boolean;
  /** It is called otherwise; empty has no name. */
  onName: (name: string) => void;
}

/** No thing of the yard has a longer name. */
const LONGEST = 60;

/** What the yard calls a thing: a name of one's own, or one of those that are known, with all that belongs to it. */
export function YardName<T>({
  label,
  value,
  compact = false,
  of,
  nameOf,
  onChoose,
  onName,
}: YardNameProps<T>) {
  const list = useId();
  const { data } = api.useQuery('get', '/api/things', {}, { staleTime: 10_000 });
  const known = new Map((data ? of(data) : []).map((t) => [nameOf(t) ?? '', t]));
  known.delete('');
  return (
    <>
      <TextInput
        size={compact ? 'xs' : 'sm'}
        style={{ flex: '1 1 130px' }}
        {...(compact ? { 'aria-label': label, placeholder: yardNames.placeholder } : { label })}
        value={value}
        maxLength={LONGEST}
        list={list}
        onChange={(e) => {
          const name = e.currentTarget.value;
          // Picked from the list, not passed through on the way to a longer name.
          const how = (e.nativeEvent as InputEvent).inputType as string | undefined;
          const thing = how === undefined || how === 'insertReplacementText' ? known.get(name) : undefined;
          if (thing) onChoose(thing);
          else onName(name);
        }}
      />
      {/* The browser's own list: a whole library of lists would weigh more than the step. */}
      <datalist id={list}>
        {[...known.keys()].map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
    </>
  );
}
