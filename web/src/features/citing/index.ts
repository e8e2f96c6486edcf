export { CitationHere } from './CitationHere';
export { CitedEntry } from './Cited';
export { CiteDialog } from './CiteDialog';
export { LanguageField } from './LanguageField';
export { StyleField } from './StyleField';
export { useCitingChoices } from './api';
export { useCopyCited } from './useCopyCited';
