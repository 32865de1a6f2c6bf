import fc from 'fast-check';
import { type History, noHistory, stepped, takenBack, takenUp } from './history.ts';

describe('what can be taken back', () => {
  it('comes back in turn, and up again, until something else is done', () => {
    let history: History<string> = noHistory;
    history = stepped(history, 'a');
    history = stepped(history, 'b');
    const back = takenBack(history, 'c');
    expect(back?.shown).toBe('b');
    const up = back && takenUp(back.history, 'b');
    expect([up?.shown, up?.history.past]).toEqual(['c', ['a', 'b']]);
    expect(back && stepped(back.history, 'b').future).toEqual([]);
    expect([takenBack(noHistory, 'a'), takenUp(noHistory, 'a')]).toEqual([undefined, undefined]);
  });

  it('is all of the last 200 changes', () => {
    let history: History<number> = noHistory;
    for (let i = 0; i < 250; i++) history = stepped(history, i);
    expect([history.past.length, history.past[0], history.past.at(-1)]).toEqual([200, 50, 249]);
  });

  it('leads, whatever is pressed, to where as many steps back and up lead', () => {
    const presses = fc.array(fc.constantFrom('change', 'back', 'up'), { maxLength: 60 });
    fc.assert(
      fc.property(presses, (pressed) => {
        let [history, now, made]: [History<number>, number, number] = [noHistory, 0, 0];
        // The same as one list with a place in it.
        let [line, place] = [[0], 0];
        for (const press of pressed) {
          if (press === 'change') {
            history = stepped(history, now);
            now = ++made;
            line = [...line.slice(0, ++place), now];
          } else {
            const move = press === 'back' ? takenBack(history, now) : takenUp(history, now);
            if (move) [history, now] = [move.history, move.shown];
            place = Math.min(line.length - 1, Math.max(0, place + (press === 'back' ? -1 : 1)));
          }
          expect(now).toBe(line[place]);
        }
      }),
    );
  });
});
