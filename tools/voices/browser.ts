/** What pages ask of a browser as they are loaded; none of it is drawn on. */
const events = { addEventListener: () => undefined, removeEventListener: () => undefined, dispatchEvent: () => true };

Object.assign(globalThis, {
  window: globalThis,
  document: { ...events, visibilityState: 'visible', documentElement: { style: {} }, createElement: () => ({}) },
  location: { href: 'http://127.0.0.1/', origin: 'http://127.0.0.1', pathname: '/', hash: '', search: '' },
  localStorage: { getItem: () => null, setItem: () => undefined, removeItem: () => undefined },
  sessionStorage: { getItem: () => null, setItem: () => undefined, removeItem: () => undefined },
  matchMedia: () => ({ ...events, matches: false }),
  Worker: class {
    addEventListener() {}
    postMessage() {}
    terminate() {}
  },
  ...events,
});
Object.defineProperty(globalThis, 'navigator', { value: { language: 'en-GB', onLine: true }, configurable: true });
