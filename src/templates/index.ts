export { eightSections } from './eight-sections';
export { planFromTemplate, TEMPLATE_IDS, TEMPLATES, type Template, type TemplateId } from './templates';
