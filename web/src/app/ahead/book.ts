export { patternBook } from '@puntada/core/craft';
