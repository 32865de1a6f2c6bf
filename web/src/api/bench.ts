import { askedAhead } from './ahead.ts';

/** The header by which a page and the server tell one another of which bench they speak. */
const header = 'x-puntada-bench';

let own: string | undefined;

/** Says of which bench this page is. What it changes in another is refused. */
export function ofThisBench(headers: Headers): Headers {
  if (own) headers.set(header, own);
  return headers;
}

/** Notes which bench answered first: it is that of this page. */
export async function fetchNoted(input: RequestInfo | URL, init?: RequestInit): Promise<Response> {
  const response = await (askedAhead(input, init) ?? fetch(input, init));
  own ??= response.headers.get(header) ?? undefined;
  return response;
}

/** The bench of this page, once a server has answered. */
export function benchNow(): string | undefined {
  return own;
}
