// Every finding and every way out of the contract was raised by some test; what was not is named. Reads what the test assemblies wrote down.
import { readFileSync, readdirSync } from 'node:fs';

const [contractFile, folder] = process.argv.slice(2);
const { schemas } = JSON.parse(readFileSync(contractFile, 'utf8')).components;
const codes = (family) => Object.keys(schemas[family].discriminator.mapping);
const raised = new Set(readdirSync(folder).flatMap((f) => JSON.parse(readFileSync(`${folder}/${f}`, 'utf8'))));
const missing = ['Notice', 'Mend'].flatMap((family) =>
  codes(family).filter((code) => !raised.has(code)).map((code) => `${family} ${code}`));
if (missing.length > 0) console.error(`No test raises: ${missing.join(', ')}`);
process.exit(missing.length > 0 ? 1 : 0);
