export { patternBook } from '@puntada/core';
