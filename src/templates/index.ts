export { eightSections } from './eight-sections';
export { planFromTemplate, TEMPLATES } from './templates';
