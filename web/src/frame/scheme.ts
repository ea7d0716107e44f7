import {
  localStorageColorSchemeManager,
  type MantineColorScheme,
  type MantineColorSchemeManager,
} from '@mantine/core';
import type { Enum } from '../api/client';

/** What was chosen on this device goes before what the household likes. */
const own = localStorageColorSchemeManager();
const house = localStorageColorSchemeManager({ key: 'setfirm-household-scheme' });

let show: ((scheme: MantineColorScheme) => void) | null = null;
let byHousehold = false;

export const schemes: MantineColorSchemeManager = {
  get: (otherwise) => own.get(house.get(otherwise)),
  set: (scheme) => {
    if (!byHousehold) own.set(scheme);
  },
  subscribe: (onUpdate) => {
    show = onUpdate;
    own.subscribe(onUpdate);
  },
  unsubscribe: () => {
    show = null;
    own.unsubscribe();
  },
  clear: own.clear,
};

/** Remembers what the household likes, and shows it where nothing else was chosen; `here` gives up what was. */
export function asHouseholdLikes(liked: Enum<'Scheme'>, here = false): void {
  const scheme = liked === 'device' ? 'auto' : liked;
  if (here) own.clear();
  else if (house.get('auto') === scheme) return;
  house.set(scheme);
  byHousehold = true;
  show?.(schemes.get('auto'));
  byHousehold = false;
}
