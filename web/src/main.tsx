import './styles/main.css';
import { askAhead } from './api/ahead.ts';

askAhead(location.pathname);

// In a dark room the row is dark from the first moment; the view of it turns the light on again when it is left.
if (location.pathname.endsWith('/work') && /"dark":true/.test(localStorage.getItem('puntada.reading') ?? '')) {
  document.documentElement.dataset.room = 'dark';
}

// Taken in one after the other: no part on the way holds the page up for long.
await import('react-dom/client');
await import('./app/store.ts');
const { start } = await import('./app/start.tsx');
start(document.getElementById('root') as HTMLElement);
