import { decimalMarkOf, tellDecimals } from '@puntada/core/craft';

// Numbers as the maker's region writes them, like the days; each thread of the pages says it for itself.
tellDecimals(decimalMarkOf(navigator.language));
