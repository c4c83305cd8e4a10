export { offers, says, saysOrDenies } from './meanings';
export { claimIn } from './claims';
export { sidesNamed } from './sides';
export { nameIsSaid } from './names';
