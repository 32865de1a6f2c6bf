export { wishSchema } from '@puntada/core/records';
