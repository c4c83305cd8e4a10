export { writeSsml } from './write';
