import { createContext, useContext, useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { createFitter, type Fitter } from '@/workers/fitter/client';
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

/**
 * Fits of this component's own: a newer question gives up an older one, so parts that ask at the same time must not
 * share one.
 */
export function useFitter(): Fitter {
  const [fitter] = useState(createFitter);
  useEffect(() => fitter.stop, [fitter]);
  return fitter;
}
