export { KeepNoteDialog } from './KeepNoteDialog';
export { NotePage } from './NotePage';
export { ReportPage } from './ReportPage';
