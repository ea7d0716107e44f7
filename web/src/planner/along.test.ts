import { expect, test } from 'vitest';
import { AlongShelf, keyOf } from './along';

const job = (latitude: number, date: string) => ({
  timeZone: 'Europe/Berlin',
  site: { latitude, longitude: 10, weatherFile: '' },
  day: { date },
  pours: [],
});

const json = (planner: string | null) => JSON.stringify({ planner, weather: {}, ahead: {}, learnt: [] });

test('what goes along is found by place and dates, else by place, else the newest', async () => {
  const shelf = new AlongShelf(); // where nothing can be kept it is kept in memory
  const [here, later, far] = [job(50, '2027-05-05'), job(50, '2027-05-09'), job(60, '2027-05-05')].map(keyOf);
  expect(await shelf.find(here ?? '')).toBeNull();
  await shelf.keep(here ?? '', json('/planner/x.js'));
  expect((await shelf.find(here ?? ''))?.planner).toBe('/planner/x.js');
  expect((await shelf.find(later ?? ''))?.key).toBe(here);
  await shelf.keep(far ?? '', json(null));
  expect((await shelf.find(later ?? ''))?.key).toBe(here);
  expect((await shelf.find(far ?? ''))?.key).toBe(far);
});

test('it is wanted anew when it is old, or aged', async () => {
  const shelf = new AlongShelf();
  const key = keyOf(job(50, '2027-05-05'));
  expect(await shelf.wants(key)).toBe(true);
  await shelf.keep(key, json('/planner/x.js'));
  expect(await shelf.wants(key)).toBe(false);
  await shelf.age();
  expect(await shelf.wants(key)).toBe(true);
});
