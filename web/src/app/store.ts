import { configureStore } from '@reduxjs/toolkit';
import { setupListeners } from '@reduxjs/toolkit/query';
import { useStore } from 'react-redux';
import { api } from '../api/api.ts';

/** The server holds the truth; the store holds its copy. */
export const store = configureStore({
  reducer: { [api.reducerPath]: api.reducer },
  middleware: (usual) => usual({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
});

setupListeners(store.dispatch);

export const useAppStore = useStore.withTypes<typeof store>();
