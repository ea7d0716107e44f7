import { ESLint } from 'eslint';
import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { expect, test } from 'vitest';

const src = resolve(import.meta.dirname, 'src');

const filesIn = (folder) =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesIn(path) : /\.tsx?$/.test(name) ? [path] : [];
  });

/** What a file imports at once: types are gone when it runs, and what is imported in a call comes later. */
const importsOf = (file) =>
  [
    ...readFileSync(file, 'utf8').matchAll(
      /^(?:import|export)\s+(?!type\b)(?:[^'";]*?\sfrom\s+)?'(\.[^']+)'/gm,
    ),
  ]
    .map((m) => resolve(dirname(file), m[1] ?? ''))
    .map((path) => ['.ts', '.tsx', '/index.ts'].map((end) => path + end).find(existsSync))
    .filter((path) => path !== undefined);

test('no file comes to need itself', () => {
  const circles = [];
  const done = new Set();
  const walk = (file, way) => {
    if (way.includes(file)) circles.push([...way.slice(way.indexOf(file)), file].join(' -> '));
    if (done.has(file) || way.includes(file)) return;
    for (const next of importsOf(file)) walk(next, [...way, file]);
    done.add(file);
  };
  const all = filesIn(src);
  expect(all.length).toBeGreaterThan(250);
  for (const file of all) walk(file, []);
  expect(circles).toEqual([]);
});

const ways = [
  ['a step and the board', 'steps/mix/MixStep.tsx', "import { planOf } from '../../board/planOf';"],
  ['a step and another', 'steps/mix/MixStep.tsx', "import { useDrawn } from '../shape/useDrawn';"],
  ['a step and the table of steps', 'steps/mix/MixStep.tsx', "export * from '../registry';"],
  ['a step, later', 'steps/mix/MixStep.tsx', "export const later = () => import('../../yard/YardPage');"],
  ['a step, for a type', 'steps/mix/MixStep.tsx', "export type Of = typeof import('../../board/planOf');"],
  ['the yard and the app', 'yard/Today.tsx', "import { Pages } from '../app/Pages';"],
  ['drawings and a job', 'drawing/fit.ts', "export { useJob } from '../job/useJob';"],
  ['words and a component', 'words/days.ts', "import '../common/Pick';"],
];

test.each(ways)(
  '%s: what goes up, or across, is told',
  async (_, file, code) => {
    const eslint = new ESLint({
      cwd: resolve(src, '..'),
      ruleFilter: ({ ruleId }) => ruleId.startsWith('floors/'),
    });
    const [told] = await eslint.lintText(code, { filePath: join(src, file) });
    expect(told?.messages.map((m) => m.ruleId)).toContain('floors/floors');
  },
  60_000,
);
