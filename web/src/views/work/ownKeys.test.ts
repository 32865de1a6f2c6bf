import { ownKeys } from './ownKeys.ts';

/** As much of a control as the keys look at. */
function control(kind: 'button' | 'opener' | 'field' | 'ground') {
  const self = {
    matches: () => kind === 'opener',
    closest: (selector: string) => {
      if (selector === 'button') return kind === 'button' || kind === 'opener' ? self : null;
      return kind === 'field' ? self : null;
    },
  };
  return self as unknown as HTMLElement;
}
const key = (on: HTMLElement, name = ' ') => ({ target: on, key: name }) as unknown as KeyboardEvent;

describe('whose the keys are at the row', () => {
  it('are the row’s on the ground, and a field’s in a field', () => {
    const keys = ownKeys();
    expect([keys.keep(key(control('ground'))), keys.keep(key(control('field')))]).toEqual([false, true]);
  });

  it('a button that the focus was brought to keeps its own, one that was clicked does not; Backspace is the row’s', () => {
    const keys = ownKeys();
    const button = control('button');
    expect(keys.keep(key(button, 'Enter'))).toBe(true);
    keys.pressed(button);
    expect(keys.keep(key(button))).toBe(false);
    keys.moved(button);
    expect([keys.keep(key(button)), keys.keep(key(button, 'Backspace'))]).toEqual([true, false]);
  });

  it('what opens something does so once by key where Tab has come to it; closed again, the row goes on', () => {
    const keys = ownKeys();
    const help = control('opener');
    expect(keys.keep(key(help))).toBe(false);
    keys.moved(help);
    expect([keys.keep(key(help)), keys.keep(key(help)), keys.keep(key(help))]).toEqual([true, false, false]);
    keys.moved(help);
    // Pressed within what it had opened, by hand.
    keys.pressed(control('button'));
    expect(keys.keep(key(help))).toBe(false);
  });
});
