import { readFileSync } from 'node:fs';
import { type Problem, planDocument, planWish, readJson, wishSchema } from '@puntada/core';

/** The headless door: a wish as JSON in, its plan as JSON out, or a list of problems and exit code 2. */
function refuse(problems: readonly Problem[]): never {
  process.stdout.write(`${JSON.stringify({ problems }, null, 2)}\n`);
  process.exit(2);
}

function readText(path: string): string {
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch (error) {
    return refuse([
      {
        code: 'field-missing',
        path,
        message: `The wish cannot be read: ${(error as Error).message}.`,
        hint: 'Give the path of a JSON file, or - for standard input.',
      },
    ]);
  }
}

const [path] = process.argv.slice(2);
if (path === undefined) {
  refuse([
    {
      code: 'field-missing',
      path: '',
      message: 'No wish was given.',
      hint: 'npm run --silent plan -- wish.json, or - for standard input. docs/plan-format.md tells what a wish holds.',
    },
  ]);
}
const wish = readJson(wishSchema, readText(path));
if (!wish.ok) refuse(wish.problems);
const plan = planWish(wish.value);
if (!plan.ok) refuse(plan.problems);
process.stdout.write(`${JSON.stringify(planDocument(plan.value), null, 2)}\n`);
