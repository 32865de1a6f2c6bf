import type { Problem } from '@puntada/core/craft';
import type { Work } from '@puntada/core/records';
import { printSaid } from '@puntada/core/words';
import { useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { download } from '../../parts/download.ts';
import { fileName } from '../../parts/fileName.ts';
import { Problems } from '../../parts/Problems.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import type { PlanFile } from '../../worker/planFile.ts';
import { planner } from '../../worker/planner.ts';
import { pngOfCloth, pngOfSvg } from './pictures.ts';

const files: readonly (readonly [kind: PlanFile, words: string, type: string])[] = [
  ['rows.txt', 'Rows as text', 'text/plain'],
  ['rows.md', 'Rows as Markdown', 'text/markdown'],
  ['runs.csv', printSaid.runsAsTable, 'text/csv'],
  ['yarn.csv', printSaid.yarnAsTable, 'text/csv'],
  ['pattern.txt', 'Pattern as text', 'text/plain'],
  ['plan.json', 'Plan as JSON', 'application/json'],
  ['chart.svg', 'Chart as SVG', 'image/svg+xml'],
];

/** What is saved as dots, of a size that is chosen. */
const pictures = { chart: printSaid.chartAsPicture, cloth: printSaid.clothAsPicture } as const;
type Picture = keyof typeof pictures;

/** px of the longer side */
const sizes = [1000, 2000, 4000] as const;

/** What other programs read: rows, runs, yarn, the pattern, the whole plan, and pictures, each as a file. */
export function FilesPart({ work }: { work: Work }) {
  const { terms, hand, manner, told } = usePreferences();
  const [making, setMaking] = useState<PlanFile | Picture>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [size, setSize] = useState('2000');
  const name = fileName(work.wish.title);
  const made = (kind: PlanFile) => planner.planFile(work, { terms, hand, manner }, told, kind);
  const busy = async (what: PlanFile | Picture, save: () => Promise<readonly Problem[]>) => {
    setMaking(what);
    setProblems(await save());
    setMaking(undefined);
  };
  const saveFile = (kind: PlanFile, type: string) =>
    busy(kind, async () => {
      const file = await made(kind);
      if (!file.ok) return file.problems;
      download(`${name}-${kind}`, file.value, type);
      return [];
    });
  const savePicture = (what: Picture) =>
    busy(what, async () => {
      const svg = what === 'chart' ? await made('chart.svg') : undefined;
      if (svg && !svg.ok) return svg.problems;
      const picture = svg ? await pngOfSvg(svg.value, Number(size)) : await pngOfCloth(work, hand, Number(size));
      if (!picture) {
        const why = await made('chart.svg');
        return why.ok ? [] : why.problems;
      }
      download(`${name}-${what}.png`, picture, 'image/png');
      return [];
    });
  return (
    <fieldset>
      <legend className="label">For other programs</legend>
      <div className="grid gap-2 pt-1">
        {files.map(([kind, words, type]) => (
          <Button key={kind} onClick={() => void saveFile(kind, type)} aria-busy={making === kind}>
            {words}
          </Button>
        ))}
        {(Object.keys(pictures) as Picture[]).map((what) => (
          <Button key={what} onClick={() => void savePicture(what)} aria-busy={making === what}>
            {pictures[what]}
          </Button>
        ))}
        <SelectField label={printSaid.sizeOfPicture} value={size} onChange={setSize}>
          {sizes.map((each) => (
            <option key={each} value={each}>
              {printSaid.dotsOnLongerSide(each)}
            </option>
          ))}
        </SelectField>
      </div>
      <Problems problems={problems} />
    </fieldset>
  );
}
