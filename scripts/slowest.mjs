// Prints the tests that took longest, of the records of a run: node scripts/slowest.mjs FOLDER [HOW MANY]
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

const [folder, most = '20'] = process.argv.slice(2);
const seconds = (text) => text.split(':').reduce((sum, part) => sum * 60 + Number(part), 0);
const found = readdirSync(folder, { recursive: true })
  .filter((name) => name.endsWith('.trx'))
  .flatMap((name) =>
    [...readFileSync(join(folder, name), 'utf8').matchAll(/<UnitTestResult\b[^>]*>/g)].map(([tag]) => ({
      name: /\btestName="([^"]*)"/.exec(tag)?.[1] ?? '?',
      took: seconds(/\bduration="([^"]*)"/.exec(tag)?.[1] ?? '0:0:0'),
    })),
  )
  .sort((a, b) => b.took - a.took);
console.log(`The slowest of ${found.length} tests, ${Math.round(found.reduce((s, t) => s + t.took, 0))} s of tests in all:`);
for (const { name, took } of found.slice(0, Number(most))) console.log(`${took.toFixed(1).padStart(7)} s  ${name.replace(/^SetFirm\./, '')}`);
