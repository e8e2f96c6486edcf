export { BibliographyPage } from './BibliographyPage';
