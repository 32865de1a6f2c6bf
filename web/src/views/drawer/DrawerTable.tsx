import type { Problem } from '@puntada/core/craft';
import type { StoredYarn } from '@puntada/core/records';
import { drawerColumns, toRow } from '@puntada/core/work';
import { csvFormat } from 'd3-dsv';
import { useState } from 'react';
import { problemsOf } from '../../api/api.ts';
import { useAddYarnsMutation } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { download } from '../../parts/download.ts';
import { FileField } from '../../parts/FileField.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { readYarns } from '../../parts/readYarns.ts';
import { firstProblems } from './yarnForm.ts';

/** The drawer as a table, out and in. */
export function DrawerTable({ yarns }: { yarns: readonly StoredYarn[] }) {
  const [bring, bringing] = useAddYarnsMutation();
  const [told, setTold] = useState<string>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const out = () => {
    const rows = yarns.map(({ yarn }) => toRow(yarn));
    download('yarn-drawer.csv', csvFormat(rows, [...drawerColumns]), 'text/csv');
  };
  const take = async (file: File) => {
    const read = readYarns(await file.text());
    setTold(undefined);
    setProblems(read.ok ? [] : firstProblems(read.problems));
    if (!read.ok) return;
    const stored = await bring(read.value);
    setProblems(problemsOf(stored.error));
    if (stored.data) setTold(`${read.value.length} yarns added.`);
  };
  return (
    <div className="flex flex-wrap items-center gap-x-3">
      <Button kind="quiet" onClick={out} disabled={!yarns.length}>
        Save as CSV
      </Button>
      <FileField
        label="Import CSV"
        accept=".csv,text/csv"
        disabled={bringing.isLoading}
        className="rounded-md px-4 font-semibold hover:bg-sheet"
        onFile={(file) => void take(file)}
      />
      <p aria-live="polite" className="text-[15px] text-verdigris">
        {told}
      </p>
      {problems.length ? (
        <div className="basis-full">
          <Problems problems={problems} />
        </div>
      ) : null}
    </div>
  );
}
