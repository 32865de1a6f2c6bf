import { useKept } from '../../parts/useKept.ts';

type Typed = Readonly<Record<string, string>>;

function read(text: string): Typed {
  try {
    const entries = Object.entries(JSON.parse(text || '{}') ?? {});
    return Object.fromEntries(entries.filter((each): each is [string, string] => typeof each[1] === 'string'));
  } catch {
    return {};
  }
}

/** What is typed of the costs of a project, by its field. This browser keeps it, where it keeps anything. */
export function useTyped(id: string): readonly [Typed, (name: string, text: string) => void] {
  const [kept, keep] = useKept(`puntada-price-${id}`);
  const typed = read(kept);
  return [typed, (name, text) => keep(JSON.stringify({ ...typed, [name]: text }))];
}
