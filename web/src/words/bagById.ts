import type { Enum } from '../api/client';
import { bagKinds } from './names';

const bagIds: Record<string, Enum<'BagKind'>> = {
  general: 'general',
  'high-strength': 'highStrength',
  fibre: 'fibreCrackResisting',
  fast: 'fastHighStrength',
  rapid: 'rapidHardening',
  'rapid-mortar': 'rapidMortar',
  topping: 'topping',
  mortar: 'mortar',
  countertop: 'countertop',
};

/** A bag by its id, as far as the id tells. */
export const bagById = (id = ''): string => {
  const size = /-(\d+)(kg|lb)$/.exec(id);
  const kind = bagIds[id.replace(/-\d+(kg|lb)$/, '')];
  return kind ? `${bagKinds[kind].toLowerCase()}, ${size?.[1] ?? ''} ${size?.[2] ?? ''}` : 'the other bag';
};
