import { datesOf } from '@puntada/core/words';

/** Days in the order of the maker's region, as the date fields of this browser have them. */
export const dates: ReturnType<typeof datesOf> = datesOf(new Intl.Locale(navigator.language).maximize().region);
