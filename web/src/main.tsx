import './styles/main.css';

// Taken in one after the other: no part on the way holds the page up for long.
await import('react-dom/client');
await import('./app/store.ts');
const { start } = await import('./app/start.tsx');
start(document.getElementById('root') as HTMLElement);
