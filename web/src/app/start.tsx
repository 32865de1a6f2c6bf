import '../parts/decimals.ts';
import { setNonce } from 'get-nonce';
import { startTransition } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { nonce } from '../parts/nonce.ts';
import { takeInWording } from '../parts/wording.ts';
import { App } from './App.tsx';
import { store } from './store.ts';

/** ms until the first view is drawn even on a slow machine; before that nothing else is to be done. */
const drawnBy = 2500;

/** What most views need is taken in while nobody waits for it, one piece at a time. */
const ahead = [takeInWording, () => import('./ahead/book.ts'), () => import('./ahead/wish.ts')];

function lookAhead([next, ...rest]: readonly (() => Promise<unknown>)[]): void {
  if (next) requestIdleCallback(() => void next().then(() => lookAhead(rest)));
}

/** Opens the app; the first drawing, too, is done in small pieces. */
export function start(place: HTMLElement): void {
  // What opens over a page puts in a style of its own, which the policy of the server lets in by this word.
  setNonce(nonce);
  const root = createRoot(place);
  startTransition(() =>
    root.render(
      <Provider store={store}>
        <App />
      </Provider>,
    ),
  );
  setTimeout(() => {
    lookAhead(ahead);
    // What waits for the server is not to be cleared away by a browser that is short of room.
    void navigator.storage?.persist?.();
  }, drawnBy);
}
