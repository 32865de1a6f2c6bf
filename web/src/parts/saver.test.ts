import { Saver, type Sent } from './saver.ts';

const away = { code: 'away', path: '' };
const pause = (ms = 0) => new Promise((done) => setTimeout(done, ms));

/** A server that answers as it is told to, and what it was sent. */
function serverOf(answers: readonly Sent[]) {
  const sent: [value: string, revision: number][] = [];
  const left = [...answers];
  let revision = 1;
  const saver = new Saver<string>({
    value: 'a',
    revision,
    wait: 1,
    again: 2,
    async send(value, on) {
      sent.push([value, on]);
      await pause();
      const answer = left.shift() ?? { revision: ++revision };
      return answer;
    },
  });
  return { saver, sent };
}

async function settled(saver: Saver<string>): Promise<void> {
  for (let i = 0; i < 200 && ['unsaved', 'saving'].includes(saver.state().state); i++) await pause(2);
}

describe('what is changed by hand', () => {
  it('is left to another request once what is on its way has arrived, on the revision that came of it', async () => {
    const { saver, sent } = serverOf([]);
    saver.change('b');
    saver.flush();
    expect(saver.state().state).toBe('saving');
    saver.change('c');
    expect(await saver.rest()).toBe(2);
    await pause(10);
    // `c` is for the other request to carry.
    expect(sent).toEqual([['b', 1]]);
    expect(saver.state()).toMatchObject({ value: 'c', state: 'unsaved' });
  });

  it('is shown at once and sent a moment later, the last of what was typed quickly', async () => {
    const { saver, sent } = serverOf([]);
    saver.change('ab');
    saver.change('abc');
    expect(saver.state()).toMatchObject({ value: 'abc', state: 'unsaved' });
    await settled(saver);
    expect([sent, saver.state()]).toMatchObject([[['abc', 1]], { value: 'abc', state: 'saved', revision: 2 }]);
  });

  it('stays, and is tried again, while the server is away', async () => {
    const { saver, sent } = serverOf([
      { problems: [away], fails: 'later' },
      { problems: [away], fails: 'later' },
    ]);
    saver.change('ab');
    for (let i = 0; i < 200 && !saver.state().problems.length; i++) await pause(1);
    expect(saver.state()).toMatchObject({ value: 'ab', problems: [away] });
    expect(saver.state().state).not.toBe('saved');
    await settled(saver);
    expect(saver.state()).toMatchObject({ value: 'ab', state: 'saved', problems: [] });
    expect(sent).toHaveLength(3);
  });

  it('stays where it is refused, with why, until it is changed', async () => {
    const no = { code: 'too-long', path: 'note' };
    const { saver } = serverOf([{ problems: [no], fails: 'refused' }]);
    saver.change('far too long');
    await settled(saver);
    expect(saver.state()).toMatchObject({ value: 'far too long', state: 'refused', problems: [no] });
    saver.change('short');
    await settled(saver);
    expect(saver.state()).toMatchObject({ value: 'short', state: 'saved', problems: [] });
  });

  it('never goes over a change made elsewhere, unless the maker says so', async () => {
    const stale = { problems: [{ code: 'stale', path: 'revision' }], fails: 'stale', fresh: 7 } as const;
    const { saver, sent } = serverOf([stale]);
    saver.change('mine');
    await settled(saver);
    saver.change('mine too');
    await pause(5);
    expect([saver.state().state, sent]).toEqual(['stale', [['mine', 1]]]);
    saver.keepMine();
    await settled(saver);
    expect(sent[1]).toEqual(['mine too', 7]);
    expect(saver.state().state).toBe('saved');
  });

  it('that is left to another request is not sent, unless that fails', async () => {
    const { saver, sent } = serverOf([]);
    saver.change('ab');
    saver.leave();
    await pause(6);
    expect(sent).toEqual([]);
    saver.resume();
    await settled(saver);
    expect([sent, saver.state().state]).toEqual([[['ab', 1]], 'saved']);
    saver.resume();
    await pause(6);
    expect(sent).toHaveLength(1);
  });

  it('that is changed while it is on its way is sent once more, on the new revision', async () => {
    const { saver, sent } = serverOf([]);
    saver.change('ab');
    saver.flush();
    saver.change('abc');
    await settled(saver);
    expect(sent).toEqual([
      ['ab', 1],
      ['abc', 2],
    ]);
    expect(saver.idle).toBe(true);
  });
});
