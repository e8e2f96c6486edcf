export { Annotation } from './Annotation';
export { Paragraphs } from './Paragraphs';
