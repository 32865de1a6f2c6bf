import type { ThunkDispatch, UnknownAction } from '@reduxjs/toolkit';
import { useDispatch } from 'react-redux';

/** Asks the store what no hook asks for: several of one kind, one after the other. */
export type AppDispatch = ThunkDispatch<unknown, unknown, UnknownAction>;

export const useAppDispatch = useDispatch.withTypes<AppDispatch>();
