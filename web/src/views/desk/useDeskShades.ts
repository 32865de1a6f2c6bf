import { type Drawing, lettersOfYarns, patternOf, type StitchPattern } from '@puntada/core/craft';
import { useMemo, useState } from 'react';
import { z } from 'zod';
import { useBookShades } from '../../parts/bookShades.ts';

/** The shades a drawing is looked at in, chosen in this browser. */
export interface DeskShades {
  readonly of: (letter: string) => string;
  readonly choose: (letter: string, shade: string) => void;
}

const kept = z.record(z.string(), z.string().regex(/^#[0-9a-fA-F]{6}$/));
const more = ['#9c4a3c', '#6d7a4e', '#7a5a86', '#caa85a', '#4f4a52'] as const;

function read(name: string): Readonly<Record<string, string>> {
  try {
    const found = kept.safeParse(JSON.parse(localStorage.getItem(name) ?? '{}'));
    return found.success ? found.data : {};
  } catch {
    return {};
  }
}

/** The maker's own yarns where none is chosen. */
export function useDeskShades(id: string, drawing: Drawing): DeskShades {
  const name = `puntada-shades-${id}`;
  const [chosen, setChosen] = useState(() => read(name));
  const usual = useBookShades();
  return useMemo(() => {
    const all = usual({ ...patternOf(drawing), colours: lettersOfYarns });
    return {
      of: (letter) => {
        const i = lettersOfYarns.indexOf(letter as 'A');
        const shade = all[i];
        return chosen[letter] ?? (shade && shade !== '#888888' ? shade : (more[i - 3] ?? '#888888'));
      },
      choose: (letter, shade) => {
        const next = { ...chosen, [letter]: shade };
        setChosen(next);
        try {
          localStorage.setItem(name, JSON.stringify(next));
        } catch {
          // A full browser keeps the choice as long as the page.
        }
      },
    };
  }, [usual, drawing, chosen, name]);
}

/** The shades that a pattern is looked at in where none is chosen: the maker's own yarns. */
export function useShadesOf(pattern: StitchPattern): (letter: string) => string {
  const usual = useBookShades();
  return useMemo(() => {
    const all = usual({ ...pattern, colours: lettersOfYarns });
    return (letter) => {
      const i = lettersOfYarns.indexOf(letter as 'A');
      const shade = all[i];
      return shade && shade !== '#888888' ? shade : (more[i - 3] ?? '#888888');
    };
  }, [usual, pattern]);
}
