import { startTransition } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { App } from './app/App.tsx';
import { store } from './app/store.ts';
import './styles/main.css';

const root = createRoot(document.getElementById('root') as HTMLElement);
// The first drawing, too, is done in small pieces.
startTransition(() =>
  root.render(
    <Provider store={store}>
      <App />
    </Provider>,
  ),
);
