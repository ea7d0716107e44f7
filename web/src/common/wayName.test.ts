import { describe, expect, it } from 'vitest';
import type { Bag, BuyDocument, Way } from '../api/client';
import { formatsFor } from '../format/format';
import { mix as words, partsSchools } from '../words';
import { wayName } from './wayName';

const format = formatsFor('metric', 'Europe/Berlin', '€');
const bags = [{ id: 'mortar-60lb', kind: 'mortar', massKg: 27.2 }] as Bag[];
const own = [{ id: 'own-1', name: 'Garden mix' }] as BuyDocument['bags'];
const way = (of: Partial<Way>) =>
  ({ bag: null, school: null, cementAddedPct: 0, airEntrained: false, ...of }) as Way;
const named = (of: Partial<Way>) => wayName(way(of), bags, own, format);

describe('a way to get the concrete', () => {
  it('is a bag by its name, with what is added to it', () => {
    expect(named({ bag: 'own-1' })).toEqual(['Garden mix', '']);
    const [name, reason] = named({ bag: 'mortar-60lb', cementAddedPct: 8 });
    expect(name).toMatch(/27(\.2)? kg$/);
    expect(reason).toBe('with 8 % more cement');
  });

  it('is a recipe by its school, each with a reason of its own', () => {
    const schools = Object.keys(partsSchools) as (keyof typeof partsSchools)[];
    const told = schools.map((school) => named({ school }));
    expect(new Set(told.map(([name]) => name)).size).toBe(schools.length);
    expect(told.every(([, reason]) => reason.length > 0)).toBe(true);
    const [plain] = named({ school: schools[0] ?? null });
    expect(named({ school: schools[0] ?? null, airEntrained: true })[0]).toBe(`${plain}, ${words.withAir}`);
  });

  it('is a truck where it is neither', () => {
    expect(named({})).toEqual([words.truck, words.truckReason]);
  });
});
