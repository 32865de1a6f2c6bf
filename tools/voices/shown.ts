import './browser.ts';
import { configureStore } from '@reduxjs/toolkit';
import { createElement, type ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { api } from '../../web/src/api/api.ts';

/** How the maker of a trial reads. */
export interface Reading {
  readonly units: 'cm' | 'in';
  readonly terms: 'US' | 'UK';
  readonly hand: 'right' | 'left';
}

const entities: Readonly<Record<string, string>> = { amp: '&', lt: '<', gt: '>', quot: '"', '#x27': "'", nbsp: ' ' };

/** What a listener would hear of markup: its text, a space at the end of each block, what is hidden from view left out. */
export function textOf(markup: string): string {
  return markup
    .replace(/<span[^>]*class="sr-only"[^>]*>.*?<\/span>/g, ' ')
    .replace(/<\/(p|div|li|dt|dd|h\d|tr|td|th|section|ul|ol|dl|button|label|aside)>/g, ' ¦ ')
    .replace(/<br[^>]*>/g, ' ')
    .replace(/<[^>]+>/g, '')
    .replace(/&(\w+|#x27);/g, (whole, name) => entities[name] ?? whole)
    .replace(/\s+/g, ' ')
    .replace(/( ¦)+ /g, ' ¦ ');
}

/** A part of a page as it is shown to a maker. */
export function shown(element: ReactElement, reading: Reading): string {
  const store = configureStore({
    reducer: { [api.reducerPath]: api.reducer },
    middleware: (usual) => usual({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
  });
  const preferences = {
    format: 'puntada-preferences' as const,
    version: 1 as const,
    fractions: 'quarters' as const,
    manner: 'compact' as const,
    currency: '€',
    lastLoop: 'drawn' as const,
    ends: 'woven' as const,
    rate: 0,
    ...reading,
  };
  store.dispatch(api.util.upsertQueryEntries([{ endpointName: 'preferences', arg: undefined, value: preferences }]));
  const page = createElement(MemoryRouter, null, element);
  return textOf(renderToStaticMarkup(createElement(Provider, { store, children: page })));
}
