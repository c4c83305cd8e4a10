import { useEffect, useState } from 'react';
import { fileNameFor } from '@/core/publish';
import { openStandIn, standInAsked } from './stand-in-devices';
import { useRecorder, type Recording } from './use-recorder';

/** What is recorded after the last word, in milliseconds. */
const AFTER_THE_END = 3_000;

/**
 * Records a class in its prompter, and ends with it. With `?stand-in` in the address a stand-in takes the place of
 * camera and microphone; `?stand-in=/address/of/a/sound` plays that sound of this application.
 */
export function useClassRecorder(classId: string, title: string, mode: string): Recording {
  const [standIn] = useState(standInAsked);
  const nameOf = (ending: string): string => fileNameFor(title, ending);
  const recording = useRecorder({ classId, nameOf }, standIn === null ? undefined : () => openStandIn(standIn));
  const { state, stop } = recording;
  useEffect(() => {
    if (mode !== 'done' || state !== 'on') return undefined;
    const timer = setTimeout(stop, AFTER_THE_END);
    return () => clearTimeout(timer);
  }, [mode, state, stop]);
  return recording;
}
