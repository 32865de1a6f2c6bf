import { askAhead, askedAhead } from './ahead.ts';

const id = '3f0c3a0e-0000-4000-8000-00000000000a';
const asked: string[] = [];

beforeEach(() => {
  asked.length = 0;
  Object.assign(globalThis, {
    location: { href: 'http://here/' },
    fetch: (path: string) => {
      asked.push(path);
      return Promise.resolve(new Response(`of ${path}`));
    },
  });
});

describe('what a page asks first', () => {
  it('is asked while its code is on the way, and given once to whoever asks for the same', async () => {
    askAhead(`/works/${id}/log`, 50);
    expect(asked).toEqual([`/api/works/${id}/log?steps=lines`]);
    expect(askedAhead(`http://here/api/works/${id}/log`)).toBeUndefined();
    const answer = await askedAhead(new Request(`http://here/api/works/${id}/log?steps=lines`));
    expect(await answer?.text()).toBe(`of /api/works/${id}/log?steps=lines`);
    expect(askedAhead(`/api/works/${id}/log?steps=lines`)).toBeUndefined();
  });

  it('is old after a while, and once something is changed', async () => {
    askAhead('/drawer', 10);
    expect(askedAhead('/api/drawer', { method: 'POST' })).toBeUndefined();
    expect(askedAhead('/api/drawer')).toBeUndefined();
    askAhead('/drawer', 10);
    await new Promise((done) => setTimeout(done, 30));
    expect(askedAhead('/api/drawer')).toBeUndefined();
  });

  it('is of the page that is opened, and never a plan or a setting: what was changed of them a moment ago is still on its way', () => {
    askAhead('/drawer', 10);
    expect(asked).toEqual(['/api/drawer']);
    for (const place of ['/', '/evenings', `/works/${id}/wish`, `/works/${id}/work`, '/works/none/of/ours']) {
      asked.length = 0;
      askAhead(place, 10);
      expect([place, asked]).toEqual([place, []]);
    }
  });
});
