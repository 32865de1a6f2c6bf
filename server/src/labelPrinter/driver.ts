import type { LabelPrinterState, Strip } from '@puntada/core/records';

/** Why a printer did not print. */
export type PrinterFault = 'printer-offline' | 'printer-open' | 'printer-no-paper';

/** What Puntada asks of a label printer; a real one on a cable would answer the same. */
export interface LabelPrinterDriver {
  state(): LabelPrinterState;
  /** Prints a strip and cuts it off. @returns why it did not, with nothing printed */
  print(strip: Strip): PrinterFault | undefined;
}
