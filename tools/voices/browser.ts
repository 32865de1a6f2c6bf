/** What pages ask of a browser as they are loaded; none of it is drawn on. */
const events = { addEventListener: () => undefined, removeEventListener: () => undefined, dispatchEvent: () => true };

Object.assign(globalThis, {
  window: globalThis,
  document: { ...events, visibilityState: 'visible', documentElement: { style: {} }, createElement: () => ({}) },
  location: { href: 'http://127.0.0.1/', origin: 'http://127.0.0.1', pathname: '/', hash: '', search: '' },
  localStorage: { getItem: () => null, setItem: () => undefined, removeItem: () => undefined },
  sessionStorage: { getItem: () => null, setItem: () => undefined, removeItem: () => undefined },
  matchMedia: () => ({ ...events, matches: false }),
  BroadcastChannel: class {
    addEventListener() {}
    postMessage() {}
    close() {}
  },
  Worker: class {
    addEventListener() {}
    postMessage() {}
    terminate() {}
  },
  ...events,
});
Object.defineProperty(globalThis, 'navigator', { value: { language: 'en-GB', onLine: true }, configurable: true });

// Nothing that a page waits for keeps a trial from ending.
const { setTimeout: wait, setInterval: again } = globalThis;
const letGo = (timer: NodeJS.Timeout) => timer.unref();
Object.assign(globalThis, {
  setTimeout: (...given: Parameters<typeof wait>) => letGo(wait(...given)),
  setInterval: (...given: Parameters<typeof again>) => letGo(again(...given)),
});
