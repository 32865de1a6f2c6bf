import type { Problem } from '@puntada/core/craft';
import type { MadeWork } from '@puntada/core/plan';
import { printSaid } from '@puntada/core/words';
import { useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { download } from '../../parts/download.ts';
import { fileName } from '../../parts/fileName.ts';
import { Problems } from '../../parts/Problems.tsx';
import type { PlanFile } from '../../worker/planFile.ts';
import { planner } from '../../worker/planner.ts';

const files: readonly (readonly [kind: PlanFile, words: string, type: string])[] = [
  ['rows.txt', 'Rows as text', 'text/plain'],
  ['rows.md', 'Rows as Markdown', 'text/markdown'],
  ['runs.csv', printSaid.runsAsTable, 'text/csv'],
  ['pattern.txt', 'Pattern as text', 'text/plain'],
  ['plan.json', 'Plan as JSON', 'application/json'],
];

/** What other programs read: rows, runs, the pattern and the whole plan, each as a file. */
export function FilesPart({ work, title }: { work: MadeWork; title: string }) {
  const { terms, hand, manner, told } = usePreferences();
  const [making, setMaking] = useState<PlanFile>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const save = async (kind: PlanFile, type: string) => {
    setMaking(kind);
    const made = await planner.planFile(work, { terms, hand, manner }, told, kind);
    setMaking(undefined);
    setProblems(made.ok ? [] : made.problems);
    if (made.ok) download(`${fileName(title)}-${kind}`, made.value, type);
  };
  return (
    <fieldset>
      <legend className="label">For other programs</legend>
      <div className="grid gap-2 pt-1">
        {files.map(([kind, words, type]) => (
          <Button key={kind} onClick={() => void save(kind, type)} aria-busy={making === kind}>
            {words}
          </Button>
        ))}
      </div>
      <Problems problems={problems} />
    </fieldset>
  );
}
