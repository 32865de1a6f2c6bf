/*
 * What the page that is opened asks first is asked while its code is still on its way. Each answer is taken once, by
 * whoever asks for the same; whoever asks later than that asks the server.
 */

/**
 * By where a page stands: what it asks first. Neither plans nor settings: what was changed of them in the moment of leaving
 * another page is still on its way, and an answer from before it would be an old one.
 */
const firstAsked: readonly (readonly [place: RegExp, paths: (id: string) => readonly string[]])[] = [
  [/^\/drawer$/, () => ['/drawer']],
  [/^\/works\/([0-9a-f-]{36})\/log$/, (id) => [`/works/${id}/log?steps=lines`]],
];

const asked = new Map<string, Promise<Response>>();

/** So long is an answer what the page would be told now, ms. */
const usual = 5000;

/** Asks ahead for the page at a place. */
export function askAhead(pathname: string, fresh = usual): void {
  const [, paths] = firstAsked.find(([place]) => place.test(pathname)) ?? [];
  const [, id = ''] = /^\/works\/([0-9a-f-]+)/.exec(pathname) ?? [];
  for (const path of paths?.(id) ?? []) {
    const answer = fetch(`/api${path}`, { headers: { accept: 'application/json' } });
    // Whoever takes it is told.
    answer.catch(() => undefined);
    asked.set(`/api${path}`, answer);
  }
  setTimeout(() => asked.clear(), fresh);
}

/** An answer that was asked for ahead; nothing where there is none, or none is left. */
export function askedAhead(input: RequestInfo | URL, init: RequestInit = {}): Promise<Response> | undefined {
  const { method, url } = input instanceof Request ? input : { method: init.method ?? 'GET', url: String(input) };
  const { pathname, search } = new URL(url, location.href);
  if (method !== 'GET') {
    // What changes something makes an answer from before it an old one.
    asked.clear();
    return undefined;
  }
  const answer = asked.get(pathname + search);
  asked.delete(pathname + search);
  return answer;
}
