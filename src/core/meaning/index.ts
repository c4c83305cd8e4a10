export { offers, says, saysOrDenies } from './meanings';
export { claimIn } from './claims';
export { showsItself, speaksFor } from './speaks-for';
export { sidesNamed } from './sides';
export { nameIsSaid } from './names';
export { ofThoseHere } from './of-others';
