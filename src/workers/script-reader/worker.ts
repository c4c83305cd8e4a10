import { expose } from 'comlink';
import { readScript } from '@/core/plain-script';
import type { ScriptWorker } from './protocol';

const reader: ScriptWorker = {
  read: (text, put) => readScript(() => crypto.randomUUID(), text, put),
};

expose(reader);

/** A few lines of each sort. A first reading makes all patterns ready, which takes longer than the reading itself. */
const FIRST = `Welcome
Good morning, and welcome to the hall.

Warm-up
- Shoulders x8
- Twist 1 min each side, hold 10 seconds
Main set
1. Rowing, 3 times each side (knees soft)
   in: arms rise
Then we do waves for two minutes, and rest.
Stand quietly for two minutes`;

readScript(() => '', FIRST);
