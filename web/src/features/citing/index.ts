export { CitationHere } from './CitationHere';
export { CitedEntry } from './Cited';
export { CiteDialog } from './CiteDialog';
export { FaultView, FieldForm } from './FaultView';
export { LanguageField } from './LanguageField';
export { StyleField } from './StyleField';
export { useCitingChoices } from './api';
export { useCopyCited } from './useCopyCited';
export { useMend } from './mendApi';
