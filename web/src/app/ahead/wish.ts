export { wishSchema } from '@puntada/core';
