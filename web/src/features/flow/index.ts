export { FlowPage } from './FlowPage';
