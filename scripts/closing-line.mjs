// Adds up what both test runners counted and prints it as the last line; a run without tests counts as failed.
import { readFileSync } from 'node:fs';

const FAILURE_LINES = 8;
const [vitestFile, dotnetLog] = process.argv.slice(2);
const vitest = JSON.parse(readFileSync(vitestFile, 'utf8'));
const log = readFileSync(dotnetLog, 'utf8');
const summary = log.split('Test run summary:').at(-1) ?? '';
const count = (name) => Number(new RegExp(`^\\s*${name}: (\\d+)`, 'm').exec(summary)?.[1] ?? 0);

const passed = count('succeeded') + vitest.numPassedTests;
const failed = count('failed') + count('error') + vitest.numFailedTests;
const skipped = count('skipped') + vitest.numPendingTests;
if (count('succeeded') === 0 || vitest.numPassedTests === 0) console.error('A test runner ran no test.');
// What failed is said once more, where the end of a record still holds it.
const lines = log.split('\n');
lines.forEach((line, i) => {
  if (line.startsWith('failed ')) console.log(lines.slice(i, i + FAILURE_LINES).map((said) => said.slice(0, 300)).join('\n'));
});
for (const file of vitest.testResults)
  for (const test of file.assertionResults.filter((t) => t.status === 'failed')) console.log(`failed ${test.fullName}: ${test.failureMessages[0]?.slice(0, 300)}`);
console.log(`${passed} passed, ${failed} failed, ${skipped} skipped`);
process.exit(failed > 0 || count('succeeded') === 0 || vitest.numPassedTests === 0 ? 1 : 0);
