import { type LabelPrinterState, labelPrinterSchema, type Strip } from '@puntada/core/records';
import { z } from 'zod';
import { api } from './api.ts';
import { giving } from './giving.ts';

const heldSchema = z.object({ name: z.string() });

interface Hand {
  readonly online?: boolean;
  readonly cover?: 'open' | 'closed';
  readonly paper?: number;
}

/** The label printer: what it says of itself, and strips for it. Every answer is its state, so nothing is asked twice. */
const labelPrinter = api.injectEndpoints({
  endpoints: (build) => ({
    labelPrinter: build.query<LabelPrinterState, void>({
      responseSchema: giving(labelPrinterSchema),
      query: () => '/label-printer',
      providesTags: ['Printer'],
    }),
    printStrip: build.mutation<LabelPrinterState, Strip>({
      responseSchema: giving(labelPrinterSchema),
      query: (strip) => ({ url: '/label-printer/print', method: 'POST', body: strip }),
      invalidatesTags: ['Printer'],
    }),
    /** Gives the server the picture that is the mark, for the labels that are printed next. */
    holdMark: build.mutation<{ readonly name: string }, string>({
      responseSchema: giving(heldSchema),
      query: (picture) => ({ url: '/mark', method: 'PUT', body: { picture } }),
    }),
    touchPrinter: build.mutation<LabelPrinterState, Hand>({
      responseSchema: giving(labelPrinterSchema),
      query: (hand) => ({ url: '/label-printer/hand', method: 'POST', body: hand }),
      invalidatesTags: ['Printer'],
    }),
  }),
});

export const { useHoldMarkMutation, useLabelPrinterQuery, usePrintStripMutation, useTouchPrinterMutation } =
  labelPrinter;
