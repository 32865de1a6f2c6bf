import type { Remote } from 'comlink';

/** A worker that is hired with the first thing asked of it, so that a page is not kept waiting for one it may not need. */
export function hired<Worker>(hire: () => Remote<Worker>): Remote<Worker> {
  let own: Remote<Worker> | undefined;
  return new Proxy({} as Remote<Worker> & object, {
    get(_nobody, asked) {
      own ??= hire();
      return Reflect.get(own as object, asked);
    },
  });
}
