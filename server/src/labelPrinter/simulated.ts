import type { LabelPrinterState, Strip } from '@puntada/core/records';
import type { LabelPrinterDriver, PrinterFault } from './driver.ts';

/** A label printer that is only simulated: its roll grows shorter, its cover can be opened, its cable pulled. */
export interface SimulatedPrinter extends LabelPrinterDriver {
  /** What is done to it by hand. */
  touch(hand: {
    online?: boolean | undefined;
    cover?: 'closed' | 'open' | undefined;
    paper?: number | undefined;
  }): void;
}

/** 203 dots to the inch. */
const dotsPerMm = 203 / 25.4;
/** Paper that is fed before the knife, mm. */
const feed = 12;
/** A new roll, mm. */
const roll = 12_000;

export function simulatedPrinter(): SimulatedPrinter {
  let state: LabelPrinterState = { online: true, cover: 'closed', paper: roll };
  const fault = (needed: number): PrinterFault | undefined => {
    if (!state.online) return 'printer-offline';
    if (state.cover === 'open') return 'printer-open';
    return state.paper < needed ? 'printer-no-paper' : undefined;
  };
  return {
    state: () => state,
    touch({ online = state.online, cover = state.cover, paper = state.paper }) {
      state = { ...state, online, cover, paper };
    },
    print(strip: Strip) {
      const needed = strip.rows / dotsPerMm + feed;
      const wrong = fault(needed);
      if (!wrong) state = { ...state, paper: state.paper - needed, strip };
      return wrong;
    },
  };
}
