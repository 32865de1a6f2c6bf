import { type SwitchStep, switchDriver } from './switchDriver.ts';

function driver() {
  let time = 10_000;
  const steps: SwitchStep[] = [];
  const take = switchDriver(
    (step) => steps.push(step),
    () => time,
  );
  const send = (press: number, more: object = {}) => {
    take({ device: 'foot switch', press, step: 'run', sentAt: time, ...more });
  };
  return {
    steps,
    take,
    send,
    wait: (ms: number) => {
      time += ms;
    },
  };
}

describe('clicker and foot switch', () => {
  it('each press is one step, of whatever kind', () => {
    const { steps, send, wait } = driver();
    for (const [press, step] of [
      [1, 'run'],
      [2, 'row'],
      [3, 'back'],
    ] as const) {
      send(press, { step });
      wait(400);
    }
    expect(steps).toEqual(['run', 'row', 'back']);
  });

  it('a signal that comes twice counts once, and a contact that bounces too', () => {
    const { steps, send, wait } = driver();
    send(1);
    wait(500);
    send(1);
    send(2);
    wait(60);
    send(3);
    wait(500);
    send(4);
    expect(steps).toEqual(['run', 'run', 'run']);
  });

  it('another pad of the same device is no bounce, however soon it is pressed', () => {
    const { steps, send, wait } = driver();
    send(1, { step: 'row' });
    wait(50);
    send(2, { step: 'back' });
    expect(steps).toEqual(['row', 'back']);
  });

  it('a lost signal harms nothing: the next one counts', () => {
    const { steps, send, wait } = driver();
    send(1);
    wait(500);
    send(5);
    expect(steps).toHaveLength(2);
  });

  it('what comes too late, or is no signal, is dropped', () => {
    const { steps, take, send } = driver();
    send(1, { sentAt: 6_000 });
    for (const junk of [null, 'run', {}, { device: 'foot switch', press: 2, step: 'jump', sentAt: 10_000 }]) take(junk);
    expect(steps).toEqual([]);
  });

  it('two devices do not get in one another’s way, and one that was switched off begins anew', () => {
    const { steps, send, wait } = driver();
    send(7);
    send(7, { device: 'clicker' });
    wait(500);
    send(0);
    wait(500);
    send(1);
    expect(steps).toHaveLength(4);
  });
});
