import { readFileSync } from 'node:fs';
import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { planDocument } from './planDocument.ts';
import { rowsAsMarkdown, rowsAsText, runColumns, runTable } from './rowsFiles.ts';

const plan = must(planWish(sampleWish({})));

describe('rows as a table of runs', () => {
  const table = runTable(plan, 'US');

  it('tells every run: nine blocks of four on each row of the check', () => {
    expect(table[0]).toHaveLength(runColumns.length);
    // Chain 37, 36 stitches, 44 rows of 4 and 4: nine runs a row.
    expect(table).toHaveLength(44 * 9);
    expect(table.slice(0, 3).map((line) => line.slice(0, 7))).toEqual([
      ['1', 'RS', '1', '1', '4', 'sc', 'A'],
      ['1', 'RS', '2', '5', '4', 'sc', 'B'],
      ['1', 'RS', '3', '9', '4', 'sc', 'A'],
    ]);
    for (let row = 1; row <= 44; row++) {
      const own = table.filter(([number]) => Number(number) === row);
      expect(own.reduce((sum, line) => sum + Number(line[4]), 0)).toBe(36);
    }
  });

  it('keeps a yarn whose name is a formula from being one', () => {
    const { yarns } = sampleWish({});
    const named = must(planWish(sampleWish({ yarns: yarns.map((yarn) => ({ ...yarn, name: '=1+1' })) })));
    expect(runTable(named, 'US')[0]?.[7]).toBe("'=1+1");
  });

  it('has the columns that the list of files tells', () => {
    const told = readFileSync(new URL('../../../../docs/formats.md', import.meta.url), 'utf8');
    expect(told).toContain(`\n${runColumns.join(',')}\n1,RS,1,1,4,sc,A,`);
  });

  it('says each stitch in the terms of the maker', () => {
    expect(new Set(runTable(plan, 'UK').map((line) => line[5]))).toEqual(new Set(['dc']));
  });
});

describe('rows as a text', () => {
  const document = planDocument(plan);

  it('holds each row once, in order, with how it begins and what the short words mean', () => {
    const lines = rowsAsText('Cloth', document).split('\n');
    const rows = lines.filter((line) => /^Row \d+ \(/.test(line));
    expect(rows.map((line) => Number(/\d+/.exec(line)?.[0]))).toEqual(Array.from({ length: 44 }, (_, i) => i + 1));
    expect(lines.some((line) => line.includes('Chain 37'))).toBe(true);
    expect(lines).toContain('sc: single crochet');
  });

  it('as Markdown nothing in it is taken for a mark', () => {
    const printed = planDocument(plan, { terms: 'US', hand: 'right', manner: 'printed' });
    const text = rowsAsMarkdown('5 * 4_cloth', printed);
    expect(text.startsWith('# 5 \\* 4\\_cloth\n')).toBe(true);
    expect(text.match(/^- \[ \] Row /gm)).toHaveLength(44);
    // Printed rows mark what is repeated with an asterisk; alone it would set the words aslant.
    const loose = text.replace(/\\\*/g, '').replace(/\*\*[^*\n]+:\*\*/g, '');
    expect(loose).not.toContain('*');
    // Taking the strokes away gives the rows as they are.
    for (const row of printed.rows) expect(text.replace(/\\([^\n])/g, '$1')).toContain(row.text);
  });
});
