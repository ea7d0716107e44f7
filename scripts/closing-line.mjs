// Adds up what both test runners counted and prints it as the last line; a run without tests counts as failed.
import { readFileSync } from 'node:fs';

const [vitestFile, dotnetLog] = process.argv.slice(2);
const vitest = JSON.parse(readFileSync(vitestFile, 'utf8'));
const summary = readFileSync(dotnetLog, 'utf8').split('Test run summary:').at(-1) ?? '';
const count = (name) => Number(new RegExp(`^\\s*${name}: (\\d+)`, 'm').exec(summary)?.[1] ?? 0);

const passed = count('succeeded') + vitest.numPassedTests;
const failed = count('failed') + count('error') + vitest.numFailedTests;
const skipped = count('skipped') + vitest.numPendingTests;
if (count('succeeded') === 0 || vitest.numPassedTests === 0) console.error('A test runner ran no test.');
console.log(`${passed} passed, ${failed} failed, ${skipped} skipped`);
process.exit(failed > 0 || count('succeeded') === 0 || vitest.numPassedTests === 0 ? 1 : 0);
