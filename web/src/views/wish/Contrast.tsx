import { type Eyes, readShades, shadeSeen } from '@puntada/core/craft';
import { shadeWords, wishSaid } from '@puntada/core/words';
import { yarnClass, yarnStyle } from '../../parts/YarnChip.tsx';
import type { WishFormValues } from './wishForm.ts';

const words: Readonly<Record<Eyes, string>> = {
  'red-blind': 'red-blind eyes',
  'green-blind': 'green-blind eyes',
  'blue-blind': 'blue-blind eyes',
  grey: 'in grey',
};

const signs = { clear: '✓', soft: '△', hardly: '✕' } as const;
const looks = { clear: 'text-verdigris', soft: 'text-ochre', hardly: 'text-brick' } as const;

/** How A and B read beside one another: measured, for eyes that see less, and in a plain sentence. */
export function Contrast({ yarns, run }: { yarns: WishFormValues['yarns']; run: number }) {
  const [a, b] = yarns;
  if (!a || !b) return null;
  const reading = readShades(a.shade, b.shade, run);
  const lighter = reading.lightness >= 1 && isLighter(b.shade, a.shade);
  const pairs = [
    { key: 'most', label: 'most eyes', difference: reading.all, a: a.shade, b: b.shade },
    ...reading.seenBy.map(({ eyes, difference }) => ({
      key: eyes,
      label: words[eyes],
      difference,
      a: shadeSeen(a.shade, eyes),
      b: shadeSeen(b.shade, eyes),
    })),
  ];
  return (
    <section aria-label={wishSaid.contrastAndB} className="grid gap-3">
      <p className={`text-[16px] ${looks[reading.verdict]}`}>
        <span aria-hidden>{signs[reading.verdict]} </span>
        {shadeWords(reading)}
        {lighter ? wishSaid.hereBLighterYarn : ''}
      </p>
      <ul className="flex flex-wrap gap-x-4 gap-y-3">
        {pairs.map((pair) => (
          <li key={pair.key} className="w-[104px]">
            <span className="flex" aria-hidden>
              <span className={`${yarnClass('A')} h-9 flex-1 rounded-l-sm`} style={yarnStyle(pair.a)} />
              <span className={`${yarnClass('B')} h-9 flex-1 rounded-r-sm`} style={yarnStyle(pair.b)} />
            </span>
            <span className="mt-0.5 block text-[13px] leading-tight text-soft">
              {pair.label}, <span className="count text-ink">{Math.round(pair.difference)}</span> apart
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function isLighter(one: string, other: string): boolean {
  return readShades(one, '#000000').lightness > readShades(other, '#000000').lightness;
}
