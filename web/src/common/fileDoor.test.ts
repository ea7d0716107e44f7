import { expect, test } from 'vitest';
import { doorOf, type Door } from './fileDoor';

const files: [string, string, Door | null][] = [
  ['a job', '{ "schema": 9, "name": "Terrace", "units": "metric", "elements": [] }', 'job'],
  ['a job of old', '\uFEFF\n{"units":"us"}', 'job'],
  ['a map outline', '{"type":"FeatureCollection","features":[]}', 'outline'],
  ['other JSON', '{"colour":"grey"}', null],
  ['JSON that ends too early', '{"units": "us"', null],
  ['a drawing', '  0\r\nSECTION\r\n2\r\nENTITIES\r\n', 'outline'],
  ['corners with names', 'x_mm;y_mm\n0;0\n1200;0\n', 'outline'],
  ['bare corners', '0, 0\n3.5, 0\n3.5, 2\n', 'outline'],
  ['corners in feet', "0', 0'\n12' 6\", 0'\n", 'outline'],
  ['a year of a building', 'LOCATION,Ostrey,-,-,Made up,0,50,8,1,80\n', 'weather'],
  ['hours of weather', 'time,temp_c,humidity_%,wind_kmh\n2027-05-08 06:00,8,80,5\n', 'weather'],
  ['weather without wind yet', 'time;air_c;relative_%\n', 'weather'],
  ['a probe', 'time,slab_c\n2027-05-08 06:00,18.2\n', 'probe'],
  ['a probe that says temp', '"Time"\t"Temp_F"\n', 'probe'],
  ['an archive', 'PK\u0003\u0004', 'archive'],
  ['a letter', 'Dear Ines,\nthe slab is fine.\n', null],
  ['nothing', '', null],
];

test.each(files)('%s finds its door', async (_, text, door) => {
  expect(await doorOf(new Blob([text]))).toBe(door);
});
