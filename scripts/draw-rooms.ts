import { writeFileSync } from 'node:fs';
import { drawRooms } from './rooms';

/** Writes `docs/rooms.svg`: `npm run rooms`, after an import between rooms was added or taken away. */
writeFileSync(new URL('../docs/rooms.svg', import.meta.url), drawRooms());
