export { KeepNoteDialog } from './KeepNoteDialog';
export { NotePage } from './NotePage';
export { ReportActs } from './ReportActs';
export { ReportPage } from './ReportPage';
