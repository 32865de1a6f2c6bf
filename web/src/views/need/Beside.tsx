import { findPattern, sourceOf } from '@puntada/core/craft';
import type { Wish } from '@puntada/core/records';
import { needSaid, sizeText } from '@puntada/core/words';
import { useEffect, useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { useShelf } from '../../parts/useShelf.ts';
import type { PatternFigures } from '../../worker/ofPatterns.ts';
import { planner } from '../../worker/planner.ts';

/** The same wish in one or two other patterns, side by side: what each takes more or less. */
export function Beside({ wish }: { wish: Wish }) {
  const { told } = usePreferences();
  const own = sourceOf(wish.pattern);
  const shelf = useShelf();
  const [others, setOthers] = useState<readonly string[]>(['', '']);
  const [figures, setFigures] = useState<readonly PatternFigures[]>([]);
  const [busy, setBusy] = useState(false);
  const keys = [own, ...others.filter((key) => key && key !== own)];
  const asked = keys.length > 1 ? JSON.stringify(keys) : '';
  const wishKey = JSON.stringify(wish);
  useEffect(() => {
    if (!asked) return setFigures([]);
    let current = true;
    setBusy(true);
    void planner.comparePatterns(JSON.parse(wishKey), JSON.parse(asked)).then((found) => {
      if (!current) return;
      setFigures(found);
      setBusy(false);
    });
    return () => {
      current = false;
    };
  }, [asked, wishKey]);
  const [base] = figures;
  const missing = keys.filter((key) => figures.length && !busy && !figures.some((each) => each.key === key));
  return (
    <div aria-busy={busy}>
      <div className="flex flex-wrap gap-4 py-3">
        {others.map((key, i) => (
          <div key={i === 0 ? 'first' : 'second'} className="w-[250px]">
            <SelectField
              label={i === 0 ? 'Compare with' : 'and'}
              value={key}
              onChange={(next) => setOthers(others.with(i, next))}
            >
              <option value="">nothing</option>
              {shelf.all.map(({ source, pattern, stored }) => (
                <option key={stored?.id ?? source} value={source}>
                  {pattern.name}
                </option>
              ))}
            </SelectField>
          </div>
        ))}
      </div>
      {base ? (
        <ul className="grid gap-5 sm:grid-cols-2 lg:grid-cols-3">
          {figures.map((each) => (
            <li key={each.key} className="flex gap-4 border-t border-ink pt-3">
              <PatternPicture pattern={each.key} shades={shadesFor(wish, each.key)} side={120} />
              <div className="min-w-0 text-[15px]">
                <p className="font-display text-[18px] font-semibold">{each.name}</p>
                <p className="count text-[15px]">{sizeText(each.width, each.height, told)}</p>
                {each.key === base.key ? <p className="text-soft">as planned</p> : <Against one={each} base={base} />}
              </div>
            </li>
          ))}
        </ul>
      ) : null}
      {missing.length ? (
        <p className="pt-2 text-[15px] text-soft">
          {needSaid.doesntSuitThisProject(missing.map(nameOf).join(' and '))}
        </p>
      ) : null}
    </div>
  );
}

function nameOf(source: string): string {
  const found = findPattern(source);
  return found.ok ? found.value.name : source;
}

function shadesFor(wish: Wish, key: string): string[] {
  const found = findPattern(key);
  const colours = found.ok ? found.value.colours : [];
  return colours.map(
    (letter, i) =>
      (wish.yarns.find((yarn) => yarn.letter === letter) ?? wish.yarns[i % wish.yarns.length])?.shade ?? '#888888',
  );
}

/** How one differs from the other, most telling first. */
function Against({ one, base }: { one: PatternFigures; base: PatternFigures }) {
  const lines = [
    one.balls === undefined || base.balls === undefined
      ? more(one.metres - base.metres, 'm of yarn', 5)
      : more(one.balls - base.balls, 'ball', 0),
    more(one.ends - base.ends, 'end', 0),
    more((one.time.mid - base.time.mid) / 3600, 'hour', 0.5),
  ];
  return (
    <>
      {lines.map((line) => (
        <p key={line}>{line}</p>
      ))}
    </>
  );
}

/** `4 balls less`, `about as many ends`. */
function more(difference: number, what: string, alike: number): string {
  const size = Math.abs(difference);
  const plural = what.startsWith('m ') ? what : `${what}s`;
  if (size <= alike) return needSaid.sameNumber(plural);
  const shown = Math.max(1, Math.round(size));
  return `${shown} ${shown === 1 ? what : plural} ${difference < 0 ? 'less' : 'more'}`;
}
