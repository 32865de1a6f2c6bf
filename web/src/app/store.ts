import { configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { useStore } from 'react-redux';
import { api } from '../api/api.ts';
import { openQueue } from '../api/queue/browserQueue.ts';

/** The server holds the truth; the store holds its copy. */
export const store = configureStore({
  reducer: { [api.reducerPath]: api.reducer },
  middleware: (usual) => usual({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
});

setupListeners(store.dispatch);

// Nothing is drawn before it is known how the maker reads: it is asked before there is anything to draw it with.
void store.dispatch(api.endpoints.preferences.initiate(undefined, { subscribe: false }));
void openQueue();

export const useAppStore = useStore.withTypes<typeof store>();
