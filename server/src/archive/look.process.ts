import type { Said } from './apart.ts';
import { look, type ToLookAt } from './look.ts';

/** Between two words of how far it is, ms. */
const silence = 200;
const say = (said: Said) => process.send?.(said);

/** The process's side: looks through one file after the other, until nobody is there to ask. */
process.on('message', (given: ToLookAt) => {
  let last = 0;
  const progress = (done: number, of: number) => {
    if (performance.now() - last < silence) return;
    last = performance.now();
    say({ ahead: [done, of] });
  };
  void look(given, { progress }).then(
    (found) => say({ found }),
    (error: unknown) => say({ broke: error instanceof Error ? (error.stack ?? error.message) : String(error) }),
  );
});
process.on('disconnect', () => process.exit());
