export { problemWords } from '@puntada/core/words';
