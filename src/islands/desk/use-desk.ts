import { createContext, useContext } from 'react';
import { useStore } from 'zustand';
import type { Fitter } from '@/workers/fitter/client';
import type { DeskState, DeskStore } from './desk-store';

export const DeskContext = createContext<DeskStore | null>(null);

/** The desk that this part belongs to. */
export function useDeskStore(): DeskStore {
  const desk = useContext(DeskContext);
  if (!desk) throw new Error('useDeskStore: there is no desk around this component');
  return desk;
}

/** A part of the desk's state; the component is drawn again when that part changes. */
export function useDesk<Part>(select: (state: DeskState) => Part): Part {
  return useStore(useDeskStore(), select);
}

export const FitterContext = createContext<Fitter | null>(null);

/** The fits of this desk, worked out beside it. */
export function useFitter(): Fitter {
  const fitter = useContext(FitterContext);
  if (!fitter) throw new Error('useFitter: there is no desk around this component');
  return fitter;
}
