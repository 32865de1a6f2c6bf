import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { type Listening, listen } from '../test/listening.ts';
import { begunCloth, galleyCloth } from '../test/sampleWorks.ts';

/** Requests in every run; on demand as many as are promised. */
const requests = process.env.PUNTADA_LONG ? 12_000 : 400;

let server: Listening;
let work: string;
beforeAll(async () => {
  server = await listen();
  work = await begunCloth(server);
}, 60_000);
afterAll(() => server.close());

const someId = () => randomUUID();

/** Every address that is spoken to, with an id of a project, of nothing, or no id at all. */
const addresses = [
  ...[
    '',
    '/begin',
    '/unbegin',
    '/bin',
    '/archive',
    '/face',
    '/finish',
    '/ticks',
    '/log',
    '/onward',
    '/former',
    '/pace',
  ].map((end) => (id: string) => `/works/${id}${end}`),
  ...['parts=cover&paper=A9', 'parts=rows&point=9e99', 'way=%00'].map(
    (query) => (id: string) => `/works/${id}/print.pdf?${query}`,
  ),
  (id: string) => `/works/${id}/labels.pdf?kind=tag&count=1e9`,
  (id: string) => `/works/${id}/log/${someId()}`,
  (id: string) => `/drawer/${id}`,
  (id: string) => `/swatches/${id}`,
  (id: string) => `/patterns/${id}`,
  (id: string) => `/drafts/${id}`,
  (id: string) => `/bin/yarn/${id}`,
  (id: string) => `/handover/${id}`,
  (id: string) => `/incoming/${id}/look`,
  (id: string) => `/copies/${id}`,
  ...['/works', '/drawer', '/drawer/many', '/swatches', '/patterns', '/drafts', '/bin', '/preferences', '/plan'].map(
    (path) => () => path,
  ),
  ...['/schedule', '/schedule/week', '/scale/load', '/label-printer/print', '/label-printer/hand', '/unread'].map(
    (path) => () => path,
  ),
] as const;

const ids = fc.oneof(
  fc.constant('').map(() => work),
  fc.uuid(),
  fc.constantFrom('0', '%', '%E0%A4%A', 'null', '..%2F..%2Fetc', '\u0000', 'a'.repeat(3000)),
);

/** What is known to be right, with something in it that is not. */
const known: readonly object[] = [
  { wish: galleyCloth },
  { revision: 1, wish: galleyCloth },
  { ticks: [{ id: someId(), at: 5, from: { rows: 0, runs: 0 }, to: { rows: 1, runs: 0 } }] },
  { entry: { format: 'puntada-entry', version: 3, id: someId(), at: 1, kind: 'note', row: 2, text: 'tight' } },
  { yarn: { line: 'Skerry cotton', name: 'Oat', shade: '#e9dfc4', weight: 4, fibre: 'cotton', balls: 2 } },
  { pattern: { format: 'puntada-own-pattern', version: 1, text: 'pattern own-1 "Fir"', note: '' } },
  { units: 'cm', terms: 'US', hand: 'right', fractions: 'quarters' },
  { rows: 3, bits: 'AAAA' },
];

/** The places in a document where something stands. */
function placesIn(value: unknown, path: readonly string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return [[...path]];
  return [[...path], ...Object.entries(value).flatMap(([key, each]) => placesIn(each, [...path, key]))];
}

function replaced(value: unknown, [key, ...rest]: readonly string[], by: unknown): unknown {
  if (key === undefined) return by;
  if (Array.isArray(value)) return value.map((each, i) => (String(i) === key ? replaced(each, rest, by) : each));
  const own = value as Record<string, unknown>;
  return { ...own, [key]: replaced(own[key], rest, by) };
}

const odd = fc.oneof(
  fc.constantFrom<unknown>(null, -1, 0, 1e308, 2 ** 53, '', ' ', '\u0000', 'NaN', '9'.repeat(400), [], {}, true),
  fc.string({ maxLength: 60 }),
  fc.integer(),
  fc.double(),
  fc.jsonValue(),
);

const bodies = fc.oneof(
  fc.tuple(fc.constantFrom(...known), fc.nat(), odd).map(([right, n, by]) => {
    const places = placesIn(right);
    return JSON.stringify(replaced(right, places[n % places.length] ?? [], by)) ?? '';
  }),
  fc.json(),
  fc.constantFrom(
    '',
    '{',
    '[[[[',
    `${'['.repeat(4000)}`,
    '{"a":'.repeat(300),
    '\ufeff{}',
    '"\\ud800"',
    '{"__proto__":{"x":1}}',
  ),
);

const types = fc.constantFrom('application/json', 'application/json; charset=utf-99', 'text/plain', 'image/png', '');

describe('whatever is sent', () => {
  it(`${requests} requests: none is answered with a fault of the server, all that are refused say why`, async () => {
    const methods = fc.constantFrom('GET', 'POST', 'PUT', 'PATCH', 'DELETE');
    await fc.assert(
      fc.asyncProperty(
        methods,
        fc.constantFrom(...addresses),
        ids,
        bodies,
        types,
        async (method, to, id, body, type) => {
          const path = encodeURI(to(id)).replaceAll('%25', '%');
          const response = await fetch(`http://127.0.0.1:${server.port}/api${path}`, {
            method,
            headers: type ? { 'content-type': type } : {},
            ...(method === 'GET' ? {} : { body }),
          });
          const text = await response.text();
          // The practice devices may be out of paper or battery; nothing else is away.
          const fine = response.status < 500 || (response.status === 503 && /printer-|scale-|busy/.test(text));
          expect([method, path.slice(0, 120), body.slice(0, 200), response.status, fine]).toEqual([
            method,
            path.slice(0, 120),
            body.slice(0, 200),
            response.status,
            true,
          ]);
          if (response.status >= 400) expect(text).toMatch(/"code":"[a-z-]+"/);
        },
      ),
      { numRuns: requests },
    );
    // It is still there, and what was there is.
    const { status, body } = await server.ask('GET', '/health');
    expect([status, body]).toEqual([200, { ok: true }]);
  }, 1_200_000);
});
